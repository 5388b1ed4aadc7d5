/** One plane of numbers at a size of its own, and moving it between sizes without shifting it. */
export interface Plane { readonly width: number, readonly height: number, readonly data: Float32Array }

export const createPlane = (width: number, height: number): Plane => ({ width, height, data: new Float32Array(width * height) })

/** Cover of each target cell along one axis: its first source cell, how many, and their weights in rows of `stride`. */
interface Covers { readonly first: Int32Array, readonly count: Int32Array, readonly weights: Float32Array, readonly stride: number }

function covers(source: number, target: number): Covers {
  const ratio = source / target, stride = Math.ceil(ratio) + 1
  const first = new Int32Array(target), count = new Int32Array(target), weights = new Float32Array(target * stride)
  for (let t = 0; t < target; t++) {
    const from = t * ratio, to = Math.min(source, from + ratio)
    first[t] = Math.floor(from + 1e-9)
    for (let s = first[t]; s < to - 1e-9; s++) weights[t * stride + count[t]++] = (Math.min(to, s + 1) - Math.max(from, s)) / (to - from)
  }
  return { first, count, weights, stride }
}

/** Area average to a smaller (or equal) size: symmetric, so a mirrored plane reduces to the mirrored result. */
export function reducePlane({ width: w, height: h, data }: Plane, width: number, height: number): Plane {
  if (width === w && height === h) return { width, height, data: data.slice() }
  const across = covers(w, width), down = covers(h, height)
  const out = createPlane(width, height)
  const sums = new Float32Array(w)
  for (let y = 0; y < height; y++) {
    // Columns first: whole source rows are added up in memory's order, and the rest is few numbers.
    sums.fill(0)
    for (let k = 0; k < down.count[y]; k++) {
      const weight = down.weights[y * down.stride + k], base = (down.first[y] + k) * w
      for (let x = 0; x < w; x++) sums[x] += weight * data[base + x]
    }
    for (let x = 0; x < width; x++) {
      const at = x * across.stride, from = across.first[x]
      let sum = 0
      for (let k = 0, n = across.count[x]; k < n; k++) sum += across.weights[at + k] * sums[from + k]
      out.data[y * width + x] = sum
    }
  }
  return out
}

/** Bilinear to a larger size, cell centres aligned, edges repeated. */
export function enlargePlane({ width: w, height: h, data }: Plane, width: number, height: number): Plane {
  const out = createPlane(width, height)
  const xs = Float64Array.from({ length: width }, (_, x) => Math.min(w - 1, Math.max(0, ((x + 0.5) * w) / width - 0.5)))
  for (let y = 0; y < height; y++) {
    const sy = Math.min(h - 1, Math.max(0, ((y + 0.5) * h) / height - 0.5))
    const y0 = Math.floor(sy), y1 = Math.min(h - 1, y0 + 1), ty = sy - y0
    for (let x = 0; x < width; x++) {
      const x0 = xs[x] | 0, x1 = Math.min(w - 1, x0 + 1), tx = xs[x] - x0
      const top = data[y0 * w + x0] * (1 - tx) + data[y0 * w + x1] * tx
      const low = data[y1 * w + x0] * (1 - tx) + data[y1 * w + x1] * tx
      out.data[y * width + x] = top * (1 - ty) + low * ty
    }
  }
  return out
}

/** The plane at half size, again and again, until a side would fall under `least`. Level 0 is the plane itself. */
export function pyramidOf(plane: Plane, levels: number, least = 3): Plane[] {
  const pyramid = [plane]
  while (pyramid.length < levels) {
    const { width, height } = pyramid[pyramid.length - 1]
    if (Math.min(width, height) <= least) break
    // A binomial blur before halving would soften what stands out; the mean of each cell is enough.
    pyramid.push(reducePlane(pyramid[pyramid.length - 1], Math.max(1, Math.ceil(width / 2)), Math.max(1, Math.ceil(height / 2))))
  }
  return pyramid
}
