;; Closing of bytes, sixteen at once (WebAssembly's fixed-width SIMD). All pointers are bytes into its memory, and
;; multiples of sixteen. `npm run kernel` writes it into closing.json, and a test holds the two against each other.
(module
  (memory (export "memory") 1)

  (func $four (param $numbers i32) (param $scale v128) (param $shift v128) (result v128)
    (i32x4.trunc_sat_f32x4_u (f32x4.add (f32x4.mul (v128.load (local.get $numbers)) (local.get $scale))
      (local.get $shift))))

  ;; Numbers up to `end`, each by `scale` and `shift`, without what is behind the point.
  (func (export "quantise") (param $numbers i32) (param $end i32) (param $scale f32) (param $shift f32)
    (param $out i32)
    (local $by v128) (local $and v128)
    (local.set $by (f32x4.splat (local.get $scale)))
    (local.set $and (f32x4.splat (local.get $shift)))
    (loop $sixteens
      (v128.store (local.get $out) (i8x16.narrow_i16x8_u
        (i16x8.narrow_i32x4_u (call $four (local.get $numbers) (local.get $by) (local.get $and))
          (call $four (i32.add (local.get $numbers) (i32.const 16)) (local.get $by) (local.get $and)))
        (i16x8.narrow_i32x4_u
          (call $four (i32.add (local.get $numbers) (i32.const 32)) (local.get $by) (local.get $and))
          (call $four (i32.add (local.get $numbers) (i32.const 48)) (local.get $by) (local.get $and)))))
      (local.set $out (i32.add (local.get $out) (i32.const 16)))
      (br_if $sixteens (i32.lt_u (local.tee $numbers (i32.add (local.get $numbers) (i32.const 64)))
        (local.get $end)))))

  ;; Each byte up to `end` becomes the greatest of itself and those up to `reach` away on both sides, `step` by step,
  ;; each with the bits of `flip` turned: all turned, it is the least of them that comes out, turned.
  (func (export "grow") (param $from i32) (param $end i32) (param $step i32) (param $reach i32) (param $flip i32)
    (param $out i32)
    (local $most v128) (local $turn v128) (local $at i32) (local $last i32)
    (local.set $turn (i8x16.splat (local.get $flip)))
    (local.set $reach (i32.mul (local.get $step) (local.get $reach)))
    (loop $sixteens
      (local.set $at (i32.sub (local.get $from) (local.get $reach)))
      (local.set $last (i32.add (local.get $from) (local.get $reach)))
      (local.set $most (v128.const i32x4 0 0 0 0))
      (loop $window
        (local.set $most (i8x16.max_u (local.get $most) (v128.xor (v128.load (local.get $at)) (local.get $turn))))
        (br_if $window (i32.le_u (local.tee $at (i32.add (local.get $at) (local.get $step))) (local.get $last))))
      (v128.store (local.get $out) (local.get $most))
      (local.set $out (i32.add (local.get $out) (i32.const 16)))
      (br_if $sixteens (i32.lt_u (local.tee $from (i32.add (local.get $from) (i32.const 16))) (local.get $end)))))

  ;; Sum of `closed`, whose bits are turned, less `open`, up to `end`; only where `mask` is one.
  (func (export "added") (param $closed i32) (param $end i32) (param $open i32) (param $mask i32) (result i32)
    (local $sum v128)
    (loop $sixteens
      (local.set $sum (i32x4.add (local.get $sum) (i32x4.extadd_pairwise_i16x8_u (i16x8.extadd_pairwise_i8x16_u
        (v128.and (i8x16.neg (v128.load (local.get $mask)))
          (i8x16.sub (v128.not (v128.load (local.get $closed))) (v128.load (local.get $open))))))))
      (local.set $open (i32.add (local.get $open) (i32.const 16)))
      (local.set $mask (i32.add (local.get $mask) (i32.const 16)))
      (br_if $sixteens (i32.lt_u (local.tee $closed (i32.add (local.get $closed) (i32.const 16))) (local.get $end))))
    (i32.add
      (i32.add (i32x4.extract_lane 0 (local.get $sum)) (i32x4.extract_lane 1 (local.get $sum)))
      (i32.add (i32x4.extract_lane 2 (local.get $sum)) (i32x4.extract_lane 3 (local.get $sum)))))
)
