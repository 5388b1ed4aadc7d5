/** How far a picture is its own mirror image. */
import type { Planes } from '../../picture/planes'

export interface Symmetry {
  /** Correlation of the value picture with its mirror image, −1 to 1. Null without contrast. */
  readonly whole: number | null
  /**
   * The same of what differs along each row: sky over sea mirrors itself whatever stands in it, and that is not what
   * makes a picture stand still.
   */
  readonly across: number | null
}

/** Less than this variance, in L* squared, is no contrast. */
const LEAST_VARIANCE = 1e-3

/** Sums over pixels that have a mirror image: how many, their values, the squares, and the products with the image. */
interface Sums {
  n: number
  sum: number
  square: number
  cross: number
}

const nothing = (): Sums => ({ n: 0, sum: 0, square: 0, cross: 0 })

/** Adds a row's sums to the whole's, each value less a level. */
function add(all: Sums, { n, sum, square, cross }: Sums, level: number): void {
  const shift = level * (level * n - 2 * sum)
  all.n += n
  all.sum += sum - level * n
  all.square += square + shift
  all.cross += cross + shift
}

function correlationOf({ n, sum, square, cross }: Sums): number | null {
  if (n === 0) return null
  const mean = sum / n,
    variance = square / n - mean * mean
  return variance < LEAST_VARIANCE ? null : (cross / n - mean * mean) / variance
}

export function symmetryOf({ value, mask, width, height }: Planes): Symmetry {
  const whole = nothing(),
    across = nothing()
  for (let y = 0; y < height; y++) {
    let n = 0,
      sum = 0,
      square = 0,
      cross = 0,
      lone = 0,
      loneSum = 0
    // Each pair once; an odd middle column is its own mirror image.
    for (let i = y * width, j = i + width - 1; i <= j; i++, j--) {
      const p = value[i],
        q = value[j]
      if ((mask[i] & mask[j]) === 0) {
        lone += mask[i] + mask[j]
        loneSum += mask[i] * p + mask[j] * q
        continue
      }
      const both = i === j ? 0.5 : 1
      n += 2 * both
      sum += both * (p + q)
      square += both * (p * p + q * q)
      cross += 2 * both * p * q
    }
    const row = { n, sum, square, cross }
    add(whole, row, 0)
    add(across, row, n + lone > 0 ? (sum + loneSum) / (n + lone) : 0)
  }
  return { whole: correlationOf(whole), across: correlationOf(across) }
}
