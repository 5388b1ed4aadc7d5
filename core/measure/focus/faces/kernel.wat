;; What the detector does most of, four numbers at once (WebAssembly's fixed-width SIMD). All pointers are bytes into
;; its memory; numbers are 32-bit floats, a cell's channels lie together. Outputs and channels come in fours, but for
;; the three of the picture. `npm run kernel` writes it into kernel.json, and a test holds the two against each other.
(module
  (memory (export "memory") 1)

  ;; Three by three over a picture of three channels into sixteen; the outermost cells lack neighbours and give none.
  (func (export "first") (param $data i32) (param $width i32) (param $height i32) (param $filters i32)
    (param $bias i32) (param $out i32)
    (local $row i32) (local $x i32) (local $y i32) (local $at i32) (local $end i32) (local $line i32) (local $f i32)
    (local $in v128) (local $s0 v128) (local $s1 v128) (local $s2 v128) (local $s3 v128)
    (local.set $row (i32.mul (local.get $width) (i32.const 12)))
    (loop $rows
      (local.set $x (i32.const 0))
      (loop $cells
        (local.set $s0 (v128.load (local.get $bias)))
        (local.set $s1 (v128.load offset=16 (local.get $bias)))
        (local.set $s2 (v128.load offset=32 (local.get $bias)))
        (local.set $s3 (v128.load offset=48 (local.get $bias)))
        (local.set $f (local.get $filters))
        (local.set $line (i32.add (local.get $data) (i32.add (i32.mul (local.get $y) (local.get $row)) (i32.mul
          (local.get $x) (i32.const 12)))))
        (local.set $end (i32.add (local.get $line) (i32.mul (local.get $row) (i32.const 3))))
        (loop $lines
          (local.set $at (local.get $line))
          (loop $nine
            (local.set $in (v128.load32_splat (local.get $at)))
            (local.set $s0 (f32x4.add (local.get $s0) (f32x4.mul (local.get $in) (v128.load (local.get $f)))))
            (local.set $s1 (f32x4.add (local.get $s1) (f32x4.mul (local.get $in) (v128.load offset=16
              (local.get $f)))))
            (local.set $s2 (f32x4.add (local.get $s2) (f32x4.mul (local.get $in) (v128.load offset=32
              (local.get $f)))))
            (local.set $s3 (f32x4.add (local.get $s3) (f32x4.mul (local.get $in) (v128.load offset=48
              (local.get $f)))))
            (local.set $f (i32.add (local.get $f) (i32.const 64)))
            (local.set $at (i32.add (local.get $at) (i32.const 4)))
            (br_if $nine (i32.lt_u (local.get $at) (i32.add (local.get $line) (i32.const 36)))))
          (local.set $line (i32.add (local.get $line) (local.get $row)))
          (br_if $lines (i32.lt_u (local.get $line) (local.get $end))))
        (v128.store (local.get $out) (local.get $s0))
        (v128.store offset=16 (local.get $out) (local.get $s1))
        (v128.store offset=32 (local.get $out) (local.get $s2))
        (v128.store offset=48 (local.get $out) (local.get $s3))
        (local.set $out (i32.add (local.get $out) (i32.const 64)))
        (local.set $x (i32.add (local.get $x) (i32.const 1)))
        (br_if $cells (i32.lt_u (local.get $x) (i32.sub (local.get $width) (i32.const 2)))))
      (local.set $y (i32.add (local.get $y) (i32.const 1)))
      (br_if $rows (i32.lt_u (local.get $y) (i32.sub (local.get $height) (i32.const 2))))))

  ;; Every cell's channels mixed. Filters: for each four outputs, for each channel, its four. Four cells at once: what
  ;; lies behind the last is read and written as well.
  (func (export "mix") (param $data i32) (param $cells i32) (param $channels i32) (param $filters i32)
    (param $bias i32) (param $outputs i32) (param $out i32)
    (local $row i32) (local $step i32) (local $group i32) (local $f i32) (local $to i32) (local $a i32)
      (local $end i32)
    (local $two i32) (local $three i32) (local $w v128) (local $s0 v128) (local $s1 v128) (local $s2 v128)
      (local $s3 v128)
    (local.set $row (i32.shl (local.get $channels) (i32.const 2)))
    (local.set $step (i32.shl (local.get $outputs) (i32.const 2)))
    (local.set $two (i32.shl (local.get $row) (i32.const 1)))
    (local.set $three (i32.add (local.get $two) (local.get $row)))
    (loop $blocks
      (local.set $f (local.get $filters))
      (local.set $group (i32.const 0))
      (loop $groups
        (local.set $s0 (v128.load (i32.add (local.get $bias) (local.get $group))))
        (local.set $s1 (local.get $s0))
        (local.set $s2 (local.get $s0))
        (local.set $s3 (local.get $s0))
        (local.set $a (local.get $data))
        (local.set $end (i32.add (local.get $data) (local.get $row)))
        (loop $each
          (local.set $w (v128.load (local.get $f)))
          (local.set $s0 (f32x4.add (local.get $s0) (f32x4.mul (local.get $w) (v128.load32_splat (local.get $a)))))
          (local.set $s1 (f32x4.add (local.get $s1) (f32x4.mul (local.get $w) (v128.load32_splat (i32.add
            (local.get $a) (local.get $row))))))
          (local.set $s2 (f32x4.add (local.get $s2) (f32x4.mul (local.get $w) (v128.load32_splat (i32.add
            (local.get $a) (local.get $two))))))
          (local.set $s3 (f32x4.add (local.get $s3) (f32x4.mul (local.get $w) (v128.load32_splat (i32.add
            (local.get $a) (local.get $three))))))
          (local.set $f (i32.add (local.get $f) (i32.const 16)))
          (local.set $a (i32.add (local.get $a) (i32.const 4)))
          (br_if $each (i32.lt_u (local.get $a) (local.get $end))))
        (local.set $to (i32.add (local.get $out) (local.get $group)))
        (v128.store (local.get $to) (local.get $s0))
        (local.set $to (i32.add (local.get $to) (local.get $step)))
        (v128.store (local.get $to) (local.get $s1))
        (local.set $to (i32.add (local.get $to) (local.get $step)))
        (v128.store (local.get $to) (local.get $s2))
        (local.set $to (i32.add (local.get $to) (local.get $step)))
        (v128.store (local.get $to) (local.get $s3))
        (local.set $group (i32.add (local.get $group) (i32.const 16)))
        (br_if $groups (i32.lt_u (local.get $group) (local.get $step))))
      (local.set $data (i32.add (local.get $data) (i32.shl (local.get $row) (i32.const 2))))
      (local.set $out (i32.add (local.get $out) (i32.shl (local.get $step) (i32.const 2))))
      (local.set $cells (i32.sub (local.get $cells) (i32.const 4)))
      (br_if $blocks (i32.gt_s (local.get $cells) (i32.const 0)))))

  ;; Each channel by its own three by three (row, column, channel); the picture has a rim of nothing round it already.
  (func (export "filter") (param $data i32) (param $width i32) (param $height i32) (param $channels i32)
    (param $filters i32) (param $out i32)
    (local $cell i32) (local $row i32) (local $x i32) (local $y i32) (local $c i32) (local $at i32) (local $f i32)
    (local $line i32) (local $sum v128)
    (local.set $cell (i32.shl (local.get $channels) (i32.const 2)))
    (local.set $row (i32.mul (local.get $cell) (i32.add (local.get $width) (i32.const 2))))
    (loop $rows
      (local.set $x (i32.const 0))
      (loop $cells
        (local.set $c (i32.const 0))
        (loop $fours
          (local.set $sum (v128.const f32x4 0 0 0 0))
          (local.set $f (i32.add (local.get $filters) (local.get $c)))
          (local.set $at (i32.add (local.get $c) (i32.add (local.get $data) (i32.add (i32.mul (local.get $y)
            (local.get $row)) (i32.mul (local.get $x) (local.get $cell))))))
          (local.set $line (i32.const 0))
          (loop $lines
            (local.set $sum (f32x4.add (local.get $sum) (f32x4.mul (v128.load (local.get $at)) (v128.load
              (local.get $f)))))
            (local.set $f (i32.add (local.get $f) (local.get $cell)))
            (local.set $sum (f32x4.add (local.get $sum) (f32x4.mul (v128.load (i32.add (local.get $at)
              (local.get $cell))) (v128.load (local.get $f)))))
            (local.set $f (i32.add (local.get $f) (local.get $cell)))
            (local.set $sum (f32x4.add (local.get $sum) (f32x4.mul (v128.load (i32.add (local.get $at) (i32.shl
              (local.get $cell) (i32.const 1)))) (v128.load (local.get $f)))))
            (local.set $f (i32.add (local.get $f) (local.get $cell)))
            (local.set $at (i32.add (local.get $at) (local.get $row)))
            (local.set $line (i32.add (local.get $line) (i32.const 1)))
            (br_if $lines (i32.lt_u (local.get $line) (i32.const 3))))
          (v128.store (local.get $out) (local.get $sum))
          (local.set $out (i32.add (local.get $out) (i32.const 16)))
          (local.set $c (i32.add (local.get $c) (i32.const 16)))
          (br_if $fours (i32.lt_u (local.get $c) (local.get $cell))))
        (local.set $x (i32.add (local.get $x) (i32.const 1)))
        (br_if $cells (i32.lt_u (local.get $x) (local.get $width))))
      (local.set $y (i32.add (local.get $y) (i32.const 1)))
      (br_if $rows (i32.lt_u (local.get $y) (local.get $height)))))

  ;; The greatest of two by two, every `step` cells; what is under nothing counts a tenth. Beyond the last stands the
  ;; last again. Written into a picture with a rim round it.
  (func (export "pool") (param $data i32) (param $width i32) (param $height i32) (param $channels i32)
    (param $step i32) (param $out i32)
    (local $cell i32) (local $row i32) (local $x i32) (local $y i32) (local $c i32) (local $at i32)
      (local $right i32) (local $down i32)
    (local $wide i32) (local $m v128)
    (local.set $cell (i32.shl (local.get $channels) (i32.const 2)))
    (local.set $row (i32.mul (local.get $cell) (local.get $width)))
    (local.set $wide (i32.div_u (i32.sub (i32.add (local.get $width) (local.get $step)) (i32.const 1))
      (local.get $step)))
    ;; Past the rim's first row; each row begins and ends with a cell of it.
    (local.set $out (i32.add (local.get $out) (i32.mul (local.get $cell) (i32.add (local.get $wide) (i32.const 2)))))
    (loop $rows
      (local.set $out (i32.add (local.get $out) (local.get $cell)))
      (local.set $down (select (local.get $row) (i32.const 0) (i32.lt_u (i32.add (local.get $y) (i32.const 1))
        (local.get $height))))
      (local.set $x (i32.const 0))
      (loop $cells
        (local.set $right (select (local.get $cell) (i32.const 0) (i32.lt_u (i32.add (local.get $x) (i32.const 1))
          (local.get $width))))
        (local.set $c (i32.const 0))
        (loop $fours
          (local.set $at (i32.add (local.get $c) (i32.add (local.get $data) (i32.add (i32.mul (local.get $y)
            (local.get $row)) (i32.mul (local.get $x) (local.get $cell))))))
          (local.set $m (f32x4.max
            (f32x4.max (v128.load (local.get $at)) (v128.load (i32.add (local.get $at) (local.get $right))))
            (f32x4.max (v128.load (i32.add (local.get $at) (local.get $down))) (v128.load (i32.add (i32.add
              (local.get $at) (local.get $down)) (local.get $right))))))
          (v128.store (local.get $out) (f32x4.max (local.get $m) (f32x4.mul (local.get $m)
            (v128.const f32x4 0.1 0.1 0.1 0.1))))
          (local.set $out (i32.add (local.get $out) (i32.const 16)))
          (local.set $c (i32.add (local.get $c) (i32.const 16)))
          (br_if $fours (i32.lt_u (local.get $c) (local.get $cell))))
        (local.set $x (i32.add (local.get $x) (local.get $step)))
        (br_if $cells (i32.lt_u (local.get $x) (local.get $width))))
      (local.set $out (i32.add (local.get $out) (local.get $cell)))
      (local.set $y (i32.add (local.get $y) (local.get $step)))
      (br_if $rows (i32.lt_u (local.get $y) (local.get $height))))))
