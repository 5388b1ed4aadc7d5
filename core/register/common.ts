/**
 * The last step where a place is found but loosely: both pictures in one frame, and nothing looked at but what both
 * show. Local means and spreads are taken over that alone, so that a wall beyond the border, or what was painted over,
 * no longer colours what lies beside it; and what lies at the border counts, which holds the corners.
 */
import type { Homography } from '../numeric/homography'
import { boxPlane } from '../picture/blur'
import { reducePlane, type Plane } from '../picture/plane'
import { fitWithin } from '../picture/resample'
import { capped, halfOf, slopesOf, type Look } from './look'
import { grownBy, type Size } from './place'
import { moved, stepOf } from './refine'
import { accumulate } from './sums'

/** Long edge, window and faintest spread (see `Sight`). */
const EDGE = 320,
  SIGMA = 10,
  FAINT = 0.3
/** What is common is looked for so often, and the map moved so often between. */
const ROUNDS = 8,
  MOVES = 3
/** Neighbours say nearly the same: so many count as one. Fewer than elsewhere, since nothing foreign is in them. */
const ALIKE = 30
/** In a window, this correlation and less is another thing; where there is anything to see. */
const FOREIGN = { sigma: 6, correlation: 0.4, energy: 0.1 } as const
/** Its neighbourhood goes with it: sigma, and the share of it. */
const AROUND = { sigma: 3, share: 0.05 } as const
/** Of a window, what has to be common for a mean over it. */
const LEAST = 0.05
const STILL = 2e-5
const AS_IT_LIES: Homography = [1, 0, 0, 0, 1, 0, 0, 0, 1]

/** Pixels of a reduced picture that half the long edge of the whole one is: along, and down. */
const unitsOf = (whole: Size, reduced: Size): { x: number; y: number } => ({
  x: (halfOf(whole) * reduced.width) / whole.width,
  y: (halfOf(whole) * reduced.height) / whole.height
})

/** Both pictures in the old one's frame, as small as they are compared. */
class Common {
  readonly width: number
  readonly height: number
  readonly old: Float32Array
  /** The new picture here; its border repeated where it does not reach. */
  readonly next: Float32Array
  /** 1 where both show the same thing. */
  readonly both: Float32Array
  private readonly inside: Float32Array
  private readonly scratch: Float32Array
  private readonly there: Plane
  private readonly here: { readonly x: number; readonly y: number }
  private readonly unit: { readonly x: number; readonly y: number }

  constructor(old: Plane, next: Plane, map: Homography) {
    const { width, height } = fitWithin(old.width, old.height, EDGE),
      size = fitWithin(next.width, next.height, Math.round(EDGE / grownBy(map))),
      blank = (): Float32Array => new Float32Array(width * height)
    this.width = width
    this.height = height
    this.old = reducePlane(old, width, height).data
    this.there = reducePlane(next, size.width, size.height)
    this.here = unitsOf(old, this)
    this.unit = unitsOf(next, this.there)
    this.next = blank()
    this.both = blank()
    this.inside = blank()
    this.scratch = blank()
  }

  private mean(of: Float32Array, sigma = SIGMA): Float32Array {
    boxPlane(of, { width: this.width, height: this.height, sigma, scratch: this.scratch })
    return of
  }

  lay(map: Homography): void {
    const { width, height, next, inside, here, unit, there } = this,
      { width: w, height: h, data } = there
    for (let y = 0; y < height; y++)
      for (let x = 0; x < width; x++) {
        const u = (x + 0.5 - width / 2) / here.x,
          v = (y + 0.5 - height / 2) / here.y,
          z = map[6] * u + map[7] * v + map[8]
        const px = ((map[0] * u + map[1] * v + map[2]) / z) * unit.x + w / 2 - 0.5,
          py = ((map[3] * u + map[4] * v + map[5]) / z) * unit.y + h / 2 - 0.5,
          p = y * width + x
        inside[p] = z > 0 && px >= 0 && py >= 0 && px < w - 1 && py < h - 1 ? 1 : 0
        const cx = Math.min(w - 1.001, Math.max(0, px)),
          cy = Math.min(h - 1.001, Math.max(0, py)),
          ix = cx | 0,
          iy = cy | 0,
          fx = cx - ix,
          fy = cy - iy,
          i = iy * w + ix
        next[p] =
          (data[i] * (1 - fx) + data[i + 1] * fx) * (1 - fy) + (data[i + w] * (1 - fx) + data[i + w + 1] * fx) * fy
      }
  }

  /** Less its mean and over its spread, of what is common alone. @param share of each window that is. */
  private normalised(data: Float32Array, share: Float32Array): Float32Array {
    const { both } = this,
      mean = this.mean(data.map((v, i) => v * both[i])),
      out = new Float32Array(data.length)
    for (let i = 0; i < data.length; i++) out[i] = share[i] > LEAST ? data[i] - mean[i] / share[i] : 0
    const square = this.mean(out.map((v, i) => both[i] * v * v))
    for (let i = 0; i < data.length; i++) {
      const spread = share[i] > LEAST ? Math.sqrt(Math.max(0, square[i] / share[i])) : 0
      out[i] = capped(out[i] / (spread + FAINT))
    }
    return out
  }

  private shares = (): Float32Array => this.mean(this.both.slice())

  /** Looks for what is common, as the pictures lie now. */
  find(): void {
    const { both, inside } = this
    both.set(inside)
    const share = this.shares(),
      a = this.normalised(this.old, share),
      b = this.normalised(this.next, share)
    const [ab, aa, bb] = [
      [a, b],
      [a, a],
      [b, b]
    ].map(([p, q]) =>
      this.mean(
        p.map((v, i) => inside[i] * v * q[i]),
        FOREIGN.sigma
      )
    )
    const foreign = aa.map((e, i) => {
      const correlation = ab[i] / Math.sqrt(Math.max(1e-6, e * bb[i]))
      return inside[i] && Math.max(e, bb[i]) > FOREIGN.energy && correlation < FOREIGN.correlation ? 1 : 0
    })
    this.mean(foreign, AROUND.sigma)
    for (let i = 0; i < both.length; i++) if (foreign[i] > AROUND.share) both[i] = 0
  }

  /** Both as looks; only pixels are shown whose neighbours are common too. */
  looks(): [Look, Look] {
    const { width, height, both } = this,
      share = this.shares(),
      shown = new Uint8Array(both.length)
    for (let y = 1; y < height - 1; y++)
      for (let x = 1, i = y * width + 1; x < width - 1; x++, i++)
        shown[i] = both[i] && both[i - 1] && both[i + 1] && both[i - width] && both[i + width]
    const look = (data: Float32Array): Look => ({
      width,
      height,
      rim: 0,
      data,
      shown,
      ...slopesOf(data, width, height)
    })
    return [look(this.normalised(this.old, share)), look(this.normalised(this.next, share))]
  }
}

/**
 * @param old, next luma of the whole pictures. @param from where it was found. @returns the map moved, between
 * coordinates of the whole pictures; where little is common, as it was.
 */
export function settle(old: Plane, next: Plane, from: Homography): Homography {
  const common = new Common(old, next, from),
    weighing = { freedom: 8, every: 1, weights: new Float32Array(1).fill(1), grid: { across: 1, down: 1 } } as const
  let map = from
  for (let round = 0; round < ROUNDS; round++) {
    let far = 0
    for (let move = 0; move < MOVES; move++) {
      common.lay(map)
      if (move === 0) common.find()
      const sums = accumulate(common.looks(), AS_IT_LIES, weighing),
        step = sums.count > 200 ? stepOf(sums, map, ALIKE) : null
      if (!step) return from
      const after = moved(map, step)
      map = after.map
      far = Math.max(far, after.far)
    }
    if (far < STILL) break
  }
  return map
}
