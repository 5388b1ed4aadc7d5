;; Counts and sums over pixels. All pointers are bytes into its memory; what is taken four or sixteen at once is filled
;; up behind its end, where its mask is nothing. `npm run kernel` writes it into tally.json, and a test holds the two
;; against each other.
(module
  (memory (export "memory") 1)

  ;; A histogram: numbers up to `end`, each by `scale` and `shift`, in the first place to the last.
  (func (export "count") (param $numbers i32) (param $end i32) (param $scale f32) (param $shift f32) (param $last i32)
    (param $mask i32) (param $counts i32)
    (local $at i32)
    (loop $each
      (local.set $at (i32.trunc_sat_f32_s (f32.add (f32.mul (f32.load (local.get $numbers)) (local.get $scale))
        (local.get $shift))))
      (local.set $at (select (local.get $at) (i32.const 0) (i32.gt_s (local.get $at) (i32.const 0))))
      (local.set $at (select (local.get $at) (local.get $last) (i32.lt_s (local.get $at) (local.get $last))))
      (local.set $at (i32.add (local.get $counts) (i32.shl (local.get $at) (i32.const 2))))
      (i32.store (local.get $at) (i32.add (i32.load (local.get $at)) (i32.load8_u (local.get $mask))))
      (local.set $mask (i32.add (local.get $mask) (i32.const 1)))
      (br_if $each (i32.lt_u (local.tee $numbers (i32.add (local.get $numbers) (i32.const 4))) (local.get $end)))))

  (func $fourWithin (param $value i32) (param $chroma i32) (param $bounds i32) (result v128)
    (v128.and
      (v128.and
        (f32x4.gt (v128.load (local.get $value)) (v128.load32_splat (local.get $bounds)))
        (f32x4.lt (v128.load (local.get $value)) (v128.load32_splat offset=4 (local.get $bounds))))
      (v128.and
        (f32x4.ge (v128.load (local.get $chroma)) (v128.load32_splat offset=8 (local.get $bounds)))
        (f32x4.lt (v128.load (local.get $chroma)) (v128.load32_splat offset=12 (local.get $bounds))))))

  ;; One where a pixel is over the first and under the second bound in value, at or over the third and under the fourth
  ;; in chroma, and measured. How many there are.
  (func (export "within") (param $value i32) (param $end i32) (param $chroma i32) (param $mask i32) (param $bounds i32)
    (param $out i32) (result i32)
    (local $on v128) (local $sum v128)
    (loop $sixteens
      (local.set $on (v128.and (v128.load (local.get $mask)) (i8x16.narrow_i16x8_s
        (i16x8.narrow_i32x4_s
          (call $fourWithin (local.get $value) (local.get $chroma) (local.get $bounds))
          (call $fourWithin (i32.add (local.get $value) (i32.const 16)) (i32.add (local.get $chroma) (i32.const 16))
            (local.get $bounds)))
        (i16x8.narrow_i32x4_s
          (call $fourWithin (i32.add (local.get $value) (i32.const 32)) (i32.add (local.get $chroma) (i32.const 32))
            (local.get $bounds))
          (call $fourWithin (i32.add (local.get $value) (i32.const 48)) (i32.add (local.get $chroma) (i32.const 48))
            (local.get $bounds))))))
      (v128.store (local.get $out) (local.get $on))
      (local.set $sum (i32x4.add (local.get $sum) (i32x4.extadd_pairwise_i16x8_u
        (i16x8.extadd_pairwise_i8x16_u (local.get $on)))))
      (local.set $chroma (i32.add (local.get $chroma) (i32.const 64)))
      (local.set $mask (i32.add (local.get $mask) (i32.const 16)))
      (local.set $out (i32.add (local.get $out) (i32.const 16)))
      (br_if $sixteens (i32.lt_u (local.tee $value (i32.add (local.get $value) (i32.const 64))) (local.get $end))))
    (i32.add
      (i32.add (i32x4.extract_lane 0 (local.get $sum)) (i32x4.extract_lane 1 (local.get $sum)))
      (i32.add (i32x4.extract_lane 2 (local.get $sum)) (i32x4.extract_lane 3 (local.get $sum)))))

  (func $add (param $to i32) (param $of v128)
    (f64.store (local.get $to) (f64.add (f64.load (local.get $to)) (f64.promote_f32 (f32.add
      (f32.add (f32x4.extract_lane 0 (local.get $of)) (f32x4.extract_lane 1 (local.get $of)))
      (f32.add (f32x4.extract_lane 2 (local.get $of)) (f32x4.extract_lane 3 (local.get $of))))))))

  ;; Temperatures, `scale` times both axes, a hundred at most either way. Adds to doubles: how many are no less than
  ;; `neither`, how many are that cool; the sum of all, of those whose value is over the first bound, under the second,
  ;; and under the third.
  (func (export "temperatures") (param $across i32) (param $end i32) (param $up i32) (param $value i32)
    (param $mask i32) (param $scale f32) (param $neither f32) (param $bounds i32) (param $sums i32)
    (local $t v128) (local $on v128) (local $one v128) (local $v v128) (local $warm v128) (local $cool v128)
    (local $all v128) (local $lights v128) (local $darks v128) (local $darkest v128)
    (loop $fours
      (local.set $on (i32x4.neg (i32x4.extend_low_i16x8_u (i16x8.extend_low_i8x16_u
        (v128.load32_zero (local.get $mask))))))
      (local.set $one (v128.and (local.get $on) (f32x4.splat (f32.const 1))))
      (local.set $t (v128.and (local.get $on) (f32x4.max (f32x4.splat (f32.const -100)) (f32x4.min
        (f32x4.splat (f32.const 100)) (f32x4.mul (f32x4.splat (local.get $scale))
          (f32x4.add (v128.load (local.get $across)) (v128.load (local.get $up))))))))
      (local.set $v (v128.load (local.get $value)))
      (local.set $warm (f32x4.add (local.get $warm) (v128.and (local.get $one)
        (f32x4.ge (local.get $t) (f32x4.splat (local.get $neither))))))
      (local.set $cool (f32x4.add (local.get $cool) (v128.and (local.get $one)
        (f32x4.le (local.get $t) (f32x4.neg (f32x4.splat (local.get $neither)))))))
      (local.set $all (f32x4.add (local.get $all) (local.get $t)))
      (local.set $lights (f32x4.add (local.get $lights) (v128.and (local.get $t)
        (f32x4.ge (local.get $v) (v128.load32_splat (local.get $bounds))))))
      (local.set $darks (f32x4.add (local.get $darks) (v128.and (local.get $t)
        (f32x4.lt (local.get $v) (v128.load32_splat offset=4 (local.get $bounds))))))
      (local.set $darkest (f32x4.add (local.get $darkest) (v128.and (local.get $t)
        (f32x4.lt (local.get $v) (v128.load32_splat offset=8 (local.get $bounds))))))
      (local.set $up (i32.add (local.get $up) (i32.const 16)))
      (local.set $value (i32.add (local.get $value) (i32.const 16)))
      (local.set $mask (i32.add (local.get $mask) (i32.const 4)))
      (br_if $fours (i32.lt_u (local.tee $across (i32.add (local.get $across) (i32.const 16))) (local.get $end))))
    (call $add (local.get $sums) (local.get $warm))
    (call $add (i32.add (local.get $sums) (i32.const 8)) (local.get $cool))
    (call $add (i32.add (local.get $sums) (i32.const 16)) (local.get $all))
    (call $add (i32.add (local.get $sums) (i32.const 24)) (local.get $lights))
    (call $add (i32.add (local.get $sums) (i32.const 32)) (local.get $darks))
    (call $add (i32.add (local.get $sums) (i32.const 40)) (local.get $darkest)))

  ;; By the cube of four bits of each channel: sums of lightness, both axes, and how many, in doubles.
  (func (export "cells") (param $words i32) (param $end i32) (param $lightness i32) (param $across i32) (param $up i32)
    (param $mask i32) (param $sums i32)
    (local $word i32) (local $at i32)
    (loop $each
      (if (i32.load8_u (local.get $mask)) (then
        (local.set $word (i32.load (local.get $words)))
        ;; Four bits of red, of green and of blue, one after the other; thirty-two bytes each.
        (local.set $at (i32.add (local.get $sums) (i32.or
          (i32.shl (i32.and (local.get $word) (i32.const 0xf0)) (i32.const 9))
          (i32.or
            (i32.shr_u (i32.and (local.get $word) (i32.const 0xf000)) (i32.const 3))
            (i32.shr_u (i32.and (local.get $word) (i32.const 0xf00000)) (i32.const 15))))))
        (v128.store (local.get $at) (f64x2.add (v128.load (local.get $at)) (f64x2.promote_low_f32x4
          (v128.load32_lane 1 (local.get $across) (v128.load32_zero (local.get $lightness))))))
        (v128.store offset=16 (local.get $at) (f64x2.add (v128.load offset=16 (local.get $at))
          (f64x2.replace_lane 1 (f64x2.splat (f64.promote_f32 (f32.load (local.get $up)))) (f64.const 1))))))
      (local.set $lightness (i32.add (local.get $lightness) (i32.const 4)))
      (local.set $across (i32.add (local.get $across) (i32.const 4)))
      (local.set $up (i32.add (local.get $up) (i32.const 4)))
      (local.set $mask (i32.add (local.get $mask) (i32.const 1)))
      (br_if $each (i32.lt_u (local.tee $words (i32.add (local.get $words) (i32.const 4))) (local.get $end)))))

  ;; Place in a table of directions: by octant and the smaller axis over the larger, in 4096 steps. None, -1, where the
  ;; chroma is under `neutral` or the mask is nothing.
  (func (export "directions") (param $across i32) (param $end i32) (param $up i32) (param $chroma i32) (param $mask i32)
    (param $neutral f32) (param $out i32)
    (local $a v128) (local $b v128) (local $x v128) (local $y v128) (local $steep v128)
    (loop $fours
      (local.set $a (v128.load (local.get $across)))
      (local.set $b (v128.load (local.get $up)))
      (local.set $x (f32x4.abs (local.get $a)))
      (local.set $y (f32x4.abs (local.get $b)))
      (local.set $steep (f32x4.gt (local.get $y) (local.get $x)))
      (v128.store (local.get $out) (v128.or
        ;; All bits where there is none.
        (v128.or
          (f32x4.lt (v128.load (local.get $chroma)) (f32x4.splat (local.get $neutral)))
          (i32x4.eq (v128.const i32x4 0 0 0 0) (i32x4.extend_low_i16x8_u (i16x8.extend_low_i8x16_u
            (v128.load32_zero (local.get $mask))))))
        (i32x4.add
          (i32x4.mul (v128.const i32x4 4097 4097 4097 4097) (i32x4.add
            (i32x4.shl (i32x4.neg (local.get $steep)) (i32.const 2))
            (i32x4.sub
              (i32x4.shl (i32x4.neg (f32x4.lt (local.get $b) (v128.const i32x4 0 0 0 0))) (i32.const 1))
              (f32x4.lt (local.get $a) (v128.const i32x4 0 0 0 0)))))
          (i32x4.trunc_sat_f32x4_s (f32x4.mul (f32x4.splat (f32.const 4096)) (f32x4.div
            (v128.bitselect (local.get $x) (local.get $y) (local.get $steep))
            (v128.bitselect (local.get $y) (local.get $x) (local.get $steep))))))))
      (local.set $up (i32.add (local.get $up) (i32.const 16)))
      (local.set $chroma (i32.add (local.get $chroma) (i32.const 16)))
      (local.set $mask (i32.add (local.get $mask) (i32.const 4)))
      (local.set $out (i32.add (local.get $out) (i32.const 16)))
      (br_if $fours (i32.lt_u (local.tee $across (i32.add (local.get $across) (i32.const 16))) (local.get $end)))))

  ;; Puts pixels into the bins that a table of halves of words gives for their places, and sums up chroma, value and
  ;; both axes in each, in doubles, and counts values in tenths, 1001 a bin. Of those between two bounds of chroma, and
  ;; over that of their bin, the number.
  (func (export "bin") (param $places i32) (param $end i32) (param $table i32) (param $chroma i32) (param $value i32)
    (param $across i32) (param $up i32) (param $over f32) (param $upTo f32) (param $bounds i32) (param $bins i32)
    (param $sums i32) (param $tenths i32) (result i32)
    (local $place i32) (local $bin i32) (local $at i32) (local $strong i32) (local $c f32)
    (loop $each
      (local.set $place (i32.load (local.get $places)))
      (local.set $bin (i32.const -1))
      (if (i32.ge_s (local.get $place) (i32.const 0)) (then
        (local.set $bin (i32.load16_u (i32.add (local.get $table) (i32.shl (local.get $place) (i32.const 1)))))
        (local.set $c (f32.load (local.get $chroma)))
        (local.set $at (i32.add (local.get $sums) (i32.shl (local.get $bin) (i32.const 5))))
        (v128.store (local.get $at) (f64x2.add (v128.load (local.get $at)) (f64x2.promote_low_f32x4
          (v128.load32_lane 1 (local.get $value) (v128.load32_zero (local.get $chroma))))))
        (v128.store offset=16 (local.get $at) (f64x2.add (v128.load offset=16 (local.get $at)) (f64x2.promote_low_f32x4
          (v128.load32_lane 1 (local.get $up) (v128.load32_zero (local.get $across))))))
        (local.set $at (i32.add (local.get $tenths) (i32.shl (i32.add
          (i32.mul (local.get $bin) (i32.const 1001))
          (i32.trunc_sat_f32_u (f32.add (f32.mul (f32.load (local.get $value)) (f32.const 10)) (f32.const 0.5))))
          (i32.const 2))))
        (i32.store (local.get $at) (i32.add (i32.load (local.get $at)) (i32.const 1)))
        (local.set $strong (i32.add (local.get $strong) (i32.and
          (i32.and (f32.gt (local.get $c) (local.get $over)) (f32.le (local.get $c) (local.get $upTo)))
          (f32.gt (local.get $c) (f32.load (i32.add (local.get $bounds) (i32.shl (local.get $bin) (i32.const 2))))))))))
      (i32.store16 (local.get $bins) (local.get $bin))
      (local.set $bins (i32.add (local.get $bins) (i32.const 2)))
      (local.set $chroma (i32.add (local.get $chroma) (i32.const 4)))
      (local.set $value (i32.add (local.get $value) (i32.const 4)))
      (local.set $across (i32.add (local.get $across) (i32.const 4)))
      (local.set $up (i32.add (local.get $up) (i32.const 4)))
      (br_if $each (i32.lt_u (local.tee $places (i32.add (local.get $places) (i32.const 4))) (local.get $end))))
    (local.get $strong))
)
