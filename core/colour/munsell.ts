/**
 * Munsell value from luminance, by the quintic of ASTM D1535 (Newhall, Nickerson and Judd 1943,
 * rescaled in D1535-08e1 to Y = 100 at V = 10).
 */

/** Munsell value 0–10 → Y in percent. */
export function convertMunsellToPercent(V: number): number {
  return ((((0.00081939 * V - 0.020484) * V + 0.23352) * V - 0.22533) * V + 1.1914) * V
}

/**
 * Y in percent → Munsell value, by bisection: the polynomial rises everywhere on 0–10, so 50
 * halvings reach the last bit without a starting guess.
 * @param percent clamped to 0–100.
 */
export function convertPercentToMunsell(percent: number): number {
  if (percent <= 0) return 0
  if (percent >= convertMunsellToPercent(10)) return 10
  let low = 0,
    high = 10
  for (let i = 0; i < 50; i++) {
    const mid = (low + high) / 2
    if (convertMunsellToPercent(mid) < percent) low = mid
    else high = mid
  }
  return (low + high) / 2
}
