/**
 * What two versions of a picture have in common however it was lit, exposed or repainted in part: value less its local
 * mean, over its local spread. Flat places become nothing, an edge is an edge whether it was strong or faint.
 */
import { boxPlane } from '../picture/blur'
import { createPlane, reducePlane, type Plane } from '../picture/plane'
import { fitWithin } from '../picture/resample'

/**
 * @property dx, dy slopes a pixel. @property rim pixels along the border whose window reaches beyond it: what lies
 * there is another thing in each version, a wall or a mount.
 */
export interface Look extends Plane {
  readonly rim: number
  readonly dx: Float32Array
  readonly dy: Float32Array
  /** 1 where there is something to compare; everywhere, where it is missing. */
  readonly shown?: Uint8Array
}

/** Half a window, in its sigmas. */
const RIM = 1.7
/** Beyond so many spreads one pixel says no more than another. */
const MOST = 2.5
export const capped = (v: number): number => (v > MOST ? MOST : v < -MOST ? -MOST : v)

/** @property edge long edge to look by. @property sigma of the window, pixels of that size. */
export interface Sight {
  readonly edge: number
  readonly sigma: number
  /** L* that a spread is measured against: what is fainter than this is noise. */
  readonly faint: number
}

/** @param value L*. */
export function lookAt(value: Plane, { edge, sigma, faint }: Sight): Look {
  const size = fitWithin(value.width, value.height, edge),
    { width, height } = size,
    count = width * height
  const data = new Float32Array(reducePlane(value, width, height).data),
    mean = data.slice(),
    scratch = new Float32Array(count),
    window = { width, height, sigma, scratch }
  boxPlane(mean, window)
  const square = new Float32Array(count)
  for (let i = 0; i < count; i++) square[i] = (data[i] - mean[i]) ** 2
  boxPlane(square, window)
  for (let i = 0; i < count; i++) {
    data[i] = capped((data[i] - mean[i]) / (Math.sqrt(Math.max(0, square[i])) + faint))
  }
  return { width, height, data, rim: Math.ceil(RIM * sigma), ...slopesOf(data, width, height) }
}

/** Central differences; the border has none. */
export function slopesOf(data: Float32Array, width: number, height: number): { dx: Float32Array; dy: Float32Array } {
  const dx = createPlane(width, height).data,
    dy = createPlane(width, height).data
  for (let y = 1; y < height - 1; y++)
    for (let x = 1, i = y * width + 1; x < width - 1; x++, i++) {
      dx[i] = 0.5 * (data[i + 1] - data[i - 1])
      dy[i] = 0.5 * (data[i + width] - data[i - width])
    }
  return { dx, dy }
}

/** Half the long edge: what a picture's own coordinates are measured in, from its middle. */
export const halfOf = ({ width, height }: { readonly width: number; readonly height: number }): number =>
  Math.max(width, height) / 2
