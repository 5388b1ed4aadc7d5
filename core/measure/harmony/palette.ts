/**
 * The picture's palette: five to eight swatches by k-means in OKLab (S. Lloyd, IEEE IT 28, 1982)
 * over a coarse colour cube, seeded without chance: the heaviest cell first, then each time the
 * cell that most weight lies farthest from what is chosen.
 */
import type { Oklab } from '../../colour/oklab'
import { fitToGamut } from '../../colour/gamut'
import { valueOfLinear } from '../../colour/lab'
import { hexOfLinear } from '../../colour/srgb'
import { temperatureOf } from '../../colour/temperature'
import { round1, round3 } from '../../numeric/round'
import type { Planes } from '../../picture/planes'
import { wordsOf, type Raster } from '../../picture/raster'
import { cellsInKernel, CUBE } from '../../picture/tally'
import { kindOn } from '../../wheel/describe'
import type { WheelName } from '../../wheel/steps'
import { positionOn, stepAt } from '../../wheel/wheel'
import type { Swatch } from '../report'

const MOST = 8
const LEAST = 5
/** Swatches closer than this in OKLab read as one colour; they are joined while more than LEAST stand. */
const ALIKE = 0.06
const ROUNDS = 16

interface Cell {
  L: number
  a: number
  b: number
  n: number
}

/** Mean OKLab and count of each used cell of a 16-step RGB cube. */
function cellsOf({ data }: Raster, planes: Planes): Cell[] {
  const words = wordsOf(data),
    sums = cellsInKernel(words, planes) ?? cellsInScript(words, planes)
  const cells: Cell[] = []
  for (let at = 0; at < sums.length; at += 4) {
    const n = sums[at + 3]
    if (n > 0) cells.push({ L: sums[at] / n, a: sums[at + 1] / n, b: sums[at + 2] / n, n })
  }
  return cells
}

/** What the kernel does, where there is none. */
export function cellsInScript(words: Int32Array, { mask, lightness, a, b }: Planes): Float64Array {
  const sums = new Float64Array(CUBE * 4)
  for (let i = 0; i < mask.length; i++) {
    if (!mask[i]) continue
    const word = words[i],
      at = 4 * (((word & 0xf0) << 4) | ((word & 0xf000) >> 8) | ((word & 0xf00000) >> 20))
    sums[at] += lightness[i]
    sums[at + 1] += a[i]
    sums[at + 2] += b[i]
    sums[at + 3]++
  }
  return sums
}

const distance2 = (p: Cell, q: Cell): number => (p.L - q.L) ** 2 + (p.a - q.a) ** 2 + (p.b - q.b) ** 2

function seed(cells: readonly Cell[], k: number): Cell[] {
  const first = cells.reduce((p, q) => (q.n > p.n ? q : p))
  const centres = [{ ...first }]
  const nearest = cells.map(c => distance2(c, first))
  while (centres.length < k) {
    let best = -1,
      most = 0
    cells.forEach((c, i) => {
      // The square root of weight lets a small strong accent be a swatch beside a large ground.
      const pull = nearest[i] * Math.sqrt(c.n)
      if (pull > most) {
        most = pull
        best = i
      }
    })
    if (best < 0) break
    centres.push({ ...cells[best] })
    cells.forEach((c, i) => {
      nearest[i] = Math.min(nearest[i], distance2(c, cells[best]))
    })
  }
  return centres
}

/** Lloyd's rounds until no cell changes its centre. Flat arrays: this is walked for every cell and centre. */
function settle(cells: readonly Cell[], centres: readonly Cell[]): Cell[] {
  const k = centres.length,
    stride = 4
  const at = Float64Array.from(centres.flatMap(c => [c.L, c.a, c.b, c.n])),
    sums = new Float64Array(k * stride)
  const L = Float64Array.from(cells, c => c.L),
    a = Float64Array.from(cells, c => c.a),
    b = Float64Array.from(cells, c => c.b),
    n = Float64Array.from(cells, c => c.n)
  const nearest = new Int32Array(cells.length).fill(-1)
  for (let round = 0, moved = true; moved && round < ROUNDS; round++) {
    moved = false
    sums.fill(0)
    for (let i = 0; i < L.length; i++) {
      const cL = L[i],
        ca = a[i],
        cb = b[i]
      let best = 0,
        least = Infinity
      for (let c = 0; c < at.length; c += stride) {
        const dL = cL - at[c],
          da = ca - at[c + 1],
          db = cb - at[c + 2],
          d = dL * dL + da * da + db * db
        if (d < least) {
          least = d
          best = c
        }
      }
      if (nearest[i] !== best) {
        nearest[i] = best
        moved = true
      }
      sums[best] += cL * n[i]
      sums[best + 1] += ca * n[i]
      sums[best + 2] += cb * n[i]
      sums[best + 3] += n[i]
    }
    for (let c = 0; c < at.length; c += stride) {
      const weight = sums[c + 3]
      // A centre that lost every cell stays where it is, with no weight.
      for (let j = 0; j < 3; j++) at[c + j] = weight > 0 ? sums[c + j] / weight : at[c + j]
      at[c + 3] = weight
    }
  }
  return Array.from({ length: k }, (_, c) => ({
    L: at[c * stride],
    a: at[c * stride + 1],
    b: at[c * stride + 2],
    n: at[c * stride + 3]
  })).filter(c => c.n > 0)
}

function joinAlike(swatches: Cell[]): Cell[] {
  const list = [...swatches]
  while (list.length > LEAST) {
    let pair: [number, number] | null = null,
      least = ALIKE ** 2
    for (let i = 0; i < list.length; i++) {
      for (let j = i + 1; j < list.length; j++) {
        const d = distance2(list[i], list[j])
        if (d < least) {
          least = d
          pair = [i, j]
        }
      }
    }
    if (!pair) break
    const [p, q] = [list[pair[0]], list[pair[1]]],
      n = p.n + q.n
    list[pair[0]] = {
      L: (p.L * p.n + q.L * q.n) / n,
      a: (p.a * p.n + q.a * q.n) / n,
      b: (p.b * p.n + q.b * q.n) / n,
      n
    }
    list.splice(pair[1], 1)
  }
  return list
}

/** Swatches by share, largest first; a picture of fewer than five colours has that many. */
export function measurePalette(raster: Raster, planes: Planes, wheel: WheelName): Swatch[] {
  const cells = cellsOf(raster, planes)
  if (cells.length === 0) return []
  const swatches = joinAlike(settle(cells, seed(cells, Math.min(MOST, cells.length))))
  return swatches
    .sort((p, q) => q.n - p.n)
    .map(({ L, a, b, n }) => {
      const lab: Oklab = [L, a, b]
      const linear = fitToGamut(lab)
      const position = positionOn(wheel, linear)
      return {
        hex: hexOfLinear(linear),
        share: round3(n / planes.count),
        step: position === null ? null : stepAt(wheel, position),
        kind: kindOn(wheel, linear),
        value: round1(valueOfLinear(linear)),
        temperature: round1(temperatureOf(lab))
      }
    })
}
