/** One plane of numbers at a size of its own, and moving it between sizes without shifting it. */
export interface Plane {
  readonly width: number
  readonly height: number
  readonly data: Float32Array
}

export const createPlane = (width: number, height: number): Plane => ({
  width,
  height,
  data: new Float32Array(width * height)
})

/** Where each target cell's bounds fall along one axis: whole source cells before it, and the part of the next one. */
interface Bounds {
  readonly whole: Int32Array
  readonly part: Float64Array
}

function boundsAlong(source: number, target: number): Bounds {
  const whole = new Int32Array(target + 1),
    part = new Float64Array(target + 1)
  for (let t = 0; t <= target; t++) {
    const at = Math.min(source, (t * source) / target)
    whole[t] = Math.min(source - 1, Math.floor(at + 1e-9))
    part[t] = Math.max(0, at - whole[t])
  }
  return { whole, part }
}

/** Area average to a smaller (or equal) size: symmetric, so a mirrored plane reduces to the mirrored result. */
export function reducePlane(plane: Plane, width: number, height: number): Plane {
  const { width: w, height: h, data } = plane
  if (width === w && height === h) return { width, height, data: data.slice() }
  if (w === 2 * width && h === 2 * height) return halvePlane(plane)
  if (w === 4 * width && h === 4 * height) return halvePlane(halvePlane(plane))
  const across = boundsAlong(w, width),
    down = boundsAlong(h, height)
  const out = createPlane(width, height)
  const sums = new Float64Array(w),
    running = new Float64Array(w + 1)
  const scale = (width * height) / (w * h)
  for (let y = 0; y < height; y++) {
    // Columns first: whole source rows are added up in memory's order; across, a mean is a difference of running sums.
    sums.fill(0)
    for (let row = down.whole[y], last = down.whole[y + 1]; row <= last; row++) {
      const weight = Math.min(row + 1, last + down.part[y + 1]) - Math.max(row, down.whole[y] + down.part[y])
      if (weight <= 0) continue
      for (let x = 0, i = row * w; x < w; x++, i++) sums[x] += weight * data[i]
    }
    for (let x = 0; x < w; x++) running[x + 1] = running[x] + sums[x]
    let before = 0
    for (let x = 1, to = y * width; x <= width; x++, to++) {
      const at = across.whole[x],
        upTo = running[at] + across.part[x] * sums[at]
      out.data[to] = (upTo - before) * scale
      before = upTo
    }
  }
  return out
}

/** Means of 2 × 2 cells; an odd last row or column stands for itself. */
export function halvePlane({ width: w, height: h, data }: Plane): Plane {
  const width = (w + 1) >> 1,
    height = (h + 1) >> 1
  const out = new Float32Array(width * height)
  const pairs = w >> 1
  for (let y = 0; y < height; y++) {
    let upper = 2 * y * w,
      lower = 2 * y + 1 < h ? upper + w : upper,
      to = y * width
    for (let x = 0; x < pairs; x++, to++, upper += 2, lower += 2) {
      out[to] = 0.25 * (data[upper] + data[upper + 1] + data[lower] + data[lower + 1])
    }
    if (pairs < width) out[to] = 0.5 * (data[upper] + data[lower])
  }
  return { width, height, data: out }
}

/** Bilinear to a larger size, cell centres aligned, edges repeated. */
export function enlargePlane({ width: w, height: h, data }: Plane, width: number, height: number): Plane {
  const out = new Float32Array(width * height)
  const xs = Float64Array.from({ length: width }, (_, x) => Math.min(w - 1, Math.max(0, ((x + 0.5) * w) / width - 0.5)))
  // The two rows are blended first, so that each source number is met once a row.
  const blend = new Float64Array(w + 1)
  for (let y = 0; y < height; y++) {
    const sy = Math.min(h - 1, Math.max(0, ((y + 0.5) * h) / height - 0.5))
    const upper = Math.floor(sy) * w,
      lower = Math.min(h - 1, Math.floor(sy) + 1) * w,
      ty = sy - Math.floor(sy)
    for (let x = 0; x < w; x++) blend[x] = data[upper + x] + ty * (data[lower + x] - data[upper + x])
    blend[w] = blend[w - 1]
    for (let x = 0, to = y * width; x < width; x++, to++) {
      const x0 = xs[x] | 0
      out[to] = blend[x0] + (xs[x] - x0) * (blend[x0 + 1] - blend[x0])
    }
  }
  return { width, height, data: out }
}

/** The plane at half size, again and again, until a side would fall under `least`. Level 0 is the plane itself. */
export function pyramidOf(plane: Plane, levels: number, least = 3): Plane[] {
  const pyramid = [plane]
  while (pyramid.length < levels) {
    const { width, height } = pyramid[pyramid.length - 1]
    if (Math.min(width, height) <= least) break
    // A binomial blur before halving would soften what stands out; the mean of each cell is enough.
    pyramid.push(
      reducePlane(pyramid[pyramid.length - 1], Math.max(1, Math.ceil(width / 2)), Math.max(1, Math.ceil(height / 2)))
    )
  }
  return pyramid
}
