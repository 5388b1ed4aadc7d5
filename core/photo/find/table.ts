/** What the table looks like: the colours along the photograph's border, and how like them every other place is. */
import type { EdgeMap } from './edges'

/** Along the border, of the long edge. */
const BORDER = 0.025
const KINDS = 6,
  ROUNDS = 8
/** OKLab: lightness counts for less, since light falls off and shadows lie on it. */
const LIGHTNESS = 0.5
/** Distance that makes a place hardly like the table any more. */
const UNLIKE = 0.045
/** Less of the border than this is a hand, or a corner of the sheet. */
const RARE = 0.06

type Colour = readonly [number, number, number]

/** @returns 0–1 for each pixel. */
export function tableLikeness({ width, height, colour }: EdgeMap): Float32Array {
  const band = Math.max(3, Math.round(BORDER * Math.max(width, height)))
  const at = (i: number): Colour => [LIGHTNESS * colour[0][i], colour[1][i], colour[2][i]]
  const apart = (p: Colour, q: Colour): number => Math.hypot(p[0] - q[0], p[1] - q[1], p[2] - q[2])
  const border: Colour[] = []
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++)
      if ((x < band || y < band || x >= width - band || y >= height - band) && (x + y) % 2 === 0)
        border.push(at(y * width + x))
  // Begun far from one another, so that a small dark corner is a kind too.
  let kinds: Colour[] = [border[0]]
  while (kinds.length < KINDS) {
    let far = border[0],
      most = -1
    for (const c of border) {
      const d = Math.min(...kinds.map(k => apart(k, c)))
      if (d > most) [far, most] = [c, d]
    }
    if (most < UNLIKE / 2) break
    kinds.push(far)
  }
  const nearest = (c: Colour): number => {
    let best = 0
    for (let k = 1; k < kinds.length; k++) if (apart(kinds[k], c) < apart(kinds[best], c)) best = k
    return best
  }
  let counts: number[] = []
  for (let round = 0; round < ROUNDS; round++) {
    const sums = kinds.map(() => [0, 0, 0, 0])
    for (const c of border) {
      const sum = sums[nearest(c)]
      for (let k = 0; k < 3; k++) sum[k] += c[k]
      sum[3]++
    }
    counts = sums.map(s => s[3])
    kinds = sums.map((s, k) => (s[3] ? [s[0] / s[3], s[1] / s[3], s[2] / s[3]] : kinds[k]))
  }
  const usual = kinds.filter((_, k) => counts[k] >= RARE * border.length)
  return Float32Array.from({ length: width * height }, (_, i) => {
    const c = at(i),
      off = Math.min(...usual.map(k => apart(k, c)))
    return Math.exp(-((off / UNLIKE) ** 2))
  })
}
