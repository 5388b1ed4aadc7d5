;; What making a picture smaller does most of, a pixel's four numbers at once (WebAssembly's fixed-width SIMD). All
;; pointers are bytes into its memory; sums are four 32-bit floats a source column: light × alpha, and alpha.
;; `npm run kernel` writes it into reduce.json, and a test holds the two against each other.
(module
  (memory (export "memory") 2)

  ;; Adds a row of three bytes a pixel, weighted. Light: 256 floats. Alpha is left as it is.
  (func (export "addRgb") (param $row i32) (param $end i32) (param $light i32) (param $weight f32) (param $sums i32)
    (local $w v128) (local $v v128)
    (local.set $w (f32x4.splat (local.get $weight)))
    (loop $pixels
      (local.set $v (v128.load32_zero (i32.add (local.get $light) (i32.shl (i32.load8_u (local.get $row))
        (i32.const 2)))))
      (local.set $v (v128.load32_lane 1 (i32.add (local.get $light) (i32.shl (i32.load8_u offset=1 (local.get $row))
        (i32.const 2))) (local.get $v)))
      (local.set $v (v128.load32_lane 2 (i32.add (local.get $light) (i32.shl (i32.load8_u offset=2 (local.get $row))
        (i32.const 2))) (local.get $v)))
      (v128.store (local.get $sums) (f32x4.add (v128.load (local.get $sums)) (f32x4.mul (local.get $w) (local.get $v))))
      (local.set $sums (i32.add (local.get $sums) (i32.const 16)))
      (local.set $row (i32.add (local.get $row) (i32.const 3)))
      (br_if $pixels (i32.lt_u (local.get $row) (local.get $end)))))

  ;; The same of four bytes a pixel, the fourth its alpha.
  (func (export "addRgba") (param $row i32) (param $end i32) (param $light i32) (param $weight f32) (param $sums i32)
    (local $v v128)
    (local.set $weight (f32.div (local.get $weight) (f32.const 255)))
    (loop $pixels
      (local.set $v (v128.load32_lane 0 (i32.add (local.get $light) (i32.shl (i32.load8_u (local.get $row))
        (i32.const 2))) (v128.const f32x4 0 0 0 1)))
      (local.set $v (v128.load32_lane 1 (i32.add (local.get $light) (i32.shl (i32.load8_u offset=1 (local.get $row))
        (i32.const 2))) (local.get $v)))
      (local.set $v (v128.load32_lane 2 (i32.add (local.get $light) (i32.shl (i32.load8_u offset=2 (local.get $row))
        (i32.const 2))) (local.get $v)))
      (v128.store (local.get $sums) (f32x4.add (v128.load (local.get $sums)) (f32x4.mul (local.get $v) (f32x4.splat
        (f32.mul (local.get $weight) (f32.convert_i32_u (i32.load8_u offset=3 (local.get $row))))))))
      (local.set $sums (i32.add (local.get $sums) (i32.const 16)))
      (local.set $row (i32.add (local.get $row) (i32.const 4)))
      (br_if $pixels (i32.lt_u (local.get $row) (local.get $end)))))

  ;; A target row of four bytes a pixel. For each target: its first column and how many (integers), and room for
  ;; `stride` bytes of weights. Bytes: of each 65,536th of light, 65,537.
  (func (export "write") (param $sums i32) (param $first i32) (param $count i32) (param $weights i32)
    (param $stride i32) (param $bytes i32) (param $out i32) (param $end i32)
    (local $at i32) (local $w i32) (local $last i32) (local $sum v128) (local $alpha f32) (local $index v128)
    (loop $targets
      (local.set $sum (v128.const f32x4 0 0 0 0))
      (local.set $at (i32.add (local.get $sums) (i32.shl (i32.load (local.get $first)) (i32.const 4))))
      (local.set $last (i32.add (local.get $at) (i32.shl (i32.load (local.get $count)) (i32.const 4))))
      (local.set $w (local.get $weights))
      (loop $columns
        (local.set $sum (f32x4.add (local.get $sum) (f32x4.mul (v128.load (local.get $at)) (v128.load32_splat
          (local.get $w)))))
        (local.set $w (i32.add (local.get $w) (i32.const 4)))
        (local.set $at (i32.add (local.get $at) (i32.const 16)))
        (br_if $columns (i32.lt_u (local.get $at) (local.get $last))))
      (local.set $alpha (f32x4.extract_lane 3 (local.get $sum)))
      (if (f32.gt (local.get $alpha) (f32.const 0)) (then
        (local.set $index (i32x4.trunc_sat_f32x4_u (f32x4.add (v128.const f32x4 0.5 0.5 0.5 0.5) (f32x4.mul
          (v128.const f32x4 65536 65536 65536 65536) (f32x4.min (v128.const f32x4 1 1 1 1) (f32x4.div (local.get $sum)
          (f32x4.splat (local.get $alpha))))))))
        (i32.store8 (local.get $out) (i32.load8_u (i32.add (local.get $bytes) (i32x4.extract_lane 0
          (local.get $index)))))
        (i32.store8 offset=1 (local.get $out) (i32.load8_u (i32.add (local.get $bytes) (i32x4.extract_lane 1
          (local.get $index)))))
        (i32.store8 offset=2 (local.get $out) (i32.load8_u (i32.add (local.get $bytes) (i32x4.extract_lane 2
          (local.get $index)))))
        (i32.store8 offset=3 (local.get $out) (i32.trunc_sat_f32_u (f32.add (f32.const 0.5) (f32.min (f32.const 255)
          (f32.mul (f32.const 255) (local.get $alpha)))))))
      (else (i32.store (local.get $out) (i32.const 0))))
      (local.set $first (i32.add (local.get $first) (i32.const 4)))
      (local.set $count (i32.add (local.get $count) (i32.const 4)))
      (local.set $weights (i32.add (local.get $weights) (local.get $stride)))
      (local.set $out (i32.add (local.get $out) (i32.const 4)))
      (br_if $targets (i32.lt_u (local.get $out) (local.get $end)))))
)
