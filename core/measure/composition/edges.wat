;; Edges of a plane of values (WebAssembly's fixed-width SIMD). All pointers are bytes into its memory. `npm run kernel`
;; writes it into edges.json, and a test holds the two against each other.
(module
  (memory (export "memory") 1)

  ;; How steep a row of numbers is up to `end`, four at once, from its neighbours in it and the rows before and after.
  (func (export "slopes") (param $row i32) (param $end i32) (param $above i32) (param $below i32) (param $out i32)
    (local $across v128) (local $down v128)
    (loop $fours
      (local.set $across (f32x4.sub (v128.load (i32.add (local.get $row) (i32.const 4)))
        (v128.load (i32.sub (local.get $row) (i32.const 4)))))
      (local.set $down (f32x4.sub (v128.load (local.get $below)) (v128.load (local.get $above))))
      (v128.store (local.get $out) (f32x4.mul (f32x4.splat (f32.const 0.5)) (f32x4.sqrt (f32x4.add
        (f32x4.mul (local.get $across) (local.get $across)) (f32x4.mul (local.get $down) (local.get $down))))))
      (local.set $above (i32.add (local.get $above) (i32.const 16)))
      (local.set $below (i32.add (local.get $below) (i32.const 16)))
      (local.set $out (i32.add (local.get $out) (i32.const 16)))
      (br_if $fours (i32.lt_u (local.tee $row (i32.add (local.get $row) (i32.const 16))) (local.get $end)))))

  (func $isEdge (param $slope i32) (param $least f32) (result i32)
    (f32.ge (f32.load (local.get $slope)) (local.get $least)))

  ;; Of two rows of numbers and two of slopes a row of cells of 2 x 2, until `end` of the first: share of edges, mean
  ;; less fifty, and its square.
  (func (export "cells") (param $upper i32) (param $end i32) (param $lower i32) (param $slopes i32)
    (param $lowerSlopes i32) (param $least f32) (param $out i32)
    (local $mean f32)
    (loop $cells
      (local.set $mean (f32.sub (f32.mul (f32.const 0.25) (f32.add
        (f32.add (f32.load (local.get $upper)) (f32.load offset=4 (local.get $upper)))
        (f32.add (f32.load (local.get $lower)) (f32.load offset=4 (local.get $lower))))) (f32.const 50)))
      (f32.store (local.get $out) (f32.mul (f32.const 0.25) (f32.convert_i32_u (i32.add
        (i32.add (call $isEdge (local.get $slopes) (local.get $least))
          (call $isEdge (i32.add (local.get $slopes) (i32.const 4)) (local.get $least)))
        (i32.add (call $isEdge (local.get $lowerSlopes) (local.get $least))
          (call $isEdge (i32.add (local.get $lowerSlopes) (i32.const 4)) (local.get $least)))))))
      (f32.store offset=4 (local.get $out) (local.get $mean))
      (f32.store offset=8 (local.get $out) (f32.mul (local.get $mean) (local.get $mean)))
      (local.set $lower (i32.add (local.get $lower) (i32.const 8)))
      (local.set $slopes (i32.add (local.get $slopes) (i32.const 8)))
      (local.set $lowerSlopes (i32.add (local.get $lowerSlopes) (i32.const 8)))
      (local.set $out (i32.add (local.get $out) (i32.const 16)))
      (br_if $cells (i32.lt_u (local.tee $upper (i32.add (local.get $upper) (i32.const 8))) (local.get $end)))))

  ;; Means of cells over those up to `reach` before and after, `step` by step, the first and last repeated.
  (func (export "means") (param $from i32) (param $end i32) (param $step i32) (param $reach i32) (param $out i32)
    (local $low v128) (local $high v128) (local $cell v128) (local $at i32) (local $first i32) (local $last i32)
    (local $scale v128) (local $ahead i32) (local $behind i32)
    (local.set $scale (f64x2.splat (f64.div (f64.const 1)
      (f64.convert_i32_s (i32.add (i32.shl (local.get $reach) (i32.const 1)) (i32.const 1))))))
    (local.set $first (local.get $from))
    (local.set $last (i32.sub (local.get $end) (local.get $step)))
    (local.set $reach (i32.mul (local.get $reach) (local.get $step)))
    (local.set $ahead (i32.sub (local.get $from) (local.get $reach)))
    (local.set $behind (local.get $ahead))
    ;; The window of the first.
    (loop $window
      (local.set $at (select (local.get $ahead) (local.get $first)
        (i32.gt_s (local.get $ahead) (local.get $first))))
      (local.set $cell (v128.load (select (local.get $at) (local.get $last)
        (i32.lt_s (local.get $at) (local.get $last)))))
      (local.set $low (f64x2.add (local.get $low) (f64x2.promote_low_f32x4 (local.get $cell))))
      (local.set $high (f64x2.add (local.get $high) (f64x2.promote_low_f32x4
        (i8x16.shuffle 8 9 10 11 12 13 14 15 8 9 10 11 12 13 14 15 (local.get $cell) (local.get $cell)))))
      (br_if $window (i32.le_s (local.tee $ahead (i32.add (local.get $ahead) (local.get $step)))
        (i32.add (local.get $first) (local.get $reach)))))
    (loop $cells
      (v128.store (local.get $out) (i8x16.shuffle 0 1 2 3 4 5 6 7 16 17 18 19 20 21 22 23
        (f32x4.demote_f64x2_zero (f64x2.mul (local.get $low) (local.get $scale)))
        (f32x4.demote_f64x2_zero (f64x2.mul (local.get $high) (local.get $scale)))))
      (local.set $cell (v128.load (select (local.get $ahead) (local.get $last)
        (i32.lt_s (local.get $ahead) (local.get $last)))))
      (local.set $low (f64x2.add (local.get $low) (f64x2.promote_low_f32x4 (local.get $cell))))
      (local.set $high (f64x2.add (local.get $high) (f64x2.promote_low_f32x4
        (i8x16.shuffle 8 9 10 11 12 13 14 15 8 9 10 11 12 13 14 15 (local.get $cell) (local.get $cell)))))
      (local.set $cell (v128.load (select (local.get $behind) (local.get $first)
        (i32.gt_s (local.get $behind) (local.get $first)))))
      (local.set $low (f64x2.sub (local.get $low) (f64x2.promote_low_f32x4 (local.get $cell))))
      (local.set $high (f64x2.sub (local.get $high) (f64x2.promote_low_f32x4
        (i8x16.shuffle 8 9 10 11 12 13 14 15 8 9 10 11 12 13 14 15 (local.get $cell) (local.get $cell)))))
      (local.set $ahead (i32.add (local.get $ahead) (local.get $step)))
      (local.set $behind (i32.add (local.get $behind) (local.get $step)))
      (local.set $out (i32.add (local.get $out) (local.get $step)))
      (br_if $cells (i32.lt_u (local.tee $from (i32.add (local.get $from) (local.get $step))) (local.get $end)))))

  ;; Of means of cells: how busy, and the standard deviation.
  (func (export "read") (param $cells i32) (param $end i32) (param $detail i32) (param $contrast i32)
    (loop $cells
      (f32.store (local.get $detail) (f32.load (local.get $cells)))
      (f32.store (local.get $contrast) (f32.sqrt (f32.max (f32.const 0) (f32.sub (f32.load offset=8 (local.get $cells))
        (f32.mul (f32.load offset=4 (local.get $cells)) (f32.load offset=4 (local.get $cells)))))))
      (local.set $detail (i32.add (local.get $detail) (i32.const 4)))
      (local.set $contrast (i32.add (local.get $contrast) (i32.const 4)))
      (br_if $cells (i32.lt_u (local.tee $cells (i32.add (local.get $cells) (i32.const 16))) (local.get $end)))))

  ;; Of two cells each twice.
  (func $doubled (param $cells i32) (result v128) (local $two v128)
    (local.set $two (v128.load64_zero (local.get $cells)))
    (i8x16.shuffle 0 1 2 3 0 1 2 3 4 5 6 7 4 5 6 7 (local.get $two) (local.get $two)))

  ;; Slopes of a row over the contrast of its cells and two more, one at most, in place.
  (func (export "sharpen") (param $slopes i32) (param $end i32) (param $contrast i32)
    (loop $fours
      (v128.store (local.get $slopes) (f32x4.min (f32x4.splat (f32.const 1)) (f32x4.div
        (v128.load (local.get $slopes))
        (f32x4.add (f32x4.splat (f32.const 2)) (call $doubled (local.get $contrast))))))
      (local.set $contrast (i32.add (local.get $contrast) (i32.const 8)))
      (br_if $fours (i32.lt_u (local.tee $slopes (i32.add (local.get $slopes) (i32.const 16))) (local.get $end)))))

  (func $sumOf (param $of v128) (result f64)
    (f64.promote_f32 (f32.add
      (f32.add (f32x4.extract_lane 0 (local.get $of)) (f32x4.extract_lane 1 (local.get $of)))
      (f32.add (f32x4.extract_lane 2 (local.get $of)) (f32x4.extract_lane 3 (local.get $of))))))

  (func $add (param $to i32) (param $of v128)
    (f64.store (local.get $to) (f64.add (f64.load (local.get $to)) (call $sumOf (local.get $of)))))

  ;; Adds a row, where its mask is one: one, how busy, how sharp where the contrast is no less, and the square of that.
  (func (export "profile") (param $sharp i32) (param $end i32) (param $contrast i32) (param $detail i32)
    (param $mask i32) (param $least f32) (param $sums i32)
    (local $n v128) (local $busy v128) (local $edges v128) (local $squares v128) (local $on v128) (local $edge v128)
    (loop $fours
      (local.set $on (i32x4.neg (i32x4.extend_low_i16x8_u (i16x8.extend_low_i8x16_u
        (v128.load32_zero (local.get $mask))))))
      (local.set $n (f32x4.add (local.get $n) (v128.and (local.get $on) (f32x4.splat (f32.const 1)))))
      (local.set $busy (f32x4.add (local.get $busy) (v128.and (local.get $on) (call $doubled (local.get $detail)))))
      (local.set $edge (v128.and (v128.load (local.get $sharp)) (v128.and (local.get $on)
        (f32x4.ge (call $doubled (local.get $contrast)) (f32x4.splat (local.get $least))))))
      (local.set $edges (f32x4.add (local.get $edges) (local.get $edge)))
      (local.set $squares (f32x4.add (local.get $squares) (f32x4.mul (local.get $edge) (local.get $edge))))
      (local.set $contrast (i32.add (local.get $contrast) (i32.const 8)))
      (local.set $detail (i32.add (local.get $detail) (i32.const 8)))
      (local.set $mask (i32.add (local.get $mask) (i32.const 4)))
      (br_if $fours (i32.lt_u (local.tee $sharp (i32.add (local.get $sharp) (i32.const 16))) (local.get $end))))
    (call $add (local.get $sums) (local.get $n))
    (call $add (i32.add (local.get $sums) (i32.const 8)) (local.get $busy))
    (call $add (i32.add (local.get $sums) (i32.const 16)) (local.get $edges))
    (call $add (i32.add (local.get $sums) (i32.const 24)) (local.get $squares)))
)
