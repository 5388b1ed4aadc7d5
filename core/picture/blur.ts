/**
 * Blur of one plane by three box passes, which together come within 3 % of a Gaussian
 * (P. Kovesi, "Fast Almost-Gaussian Filtering", DICTA 2010); cost does not grow with the width.
 */

/** Radii of three boxes whose variances sum to `sigma`². */
export function boxRadii(sigma: number): [number, number, number] {
  const ideal = Math.sqrt((12 * sigma * sigma) / 3 + 1)
  let lower = Math.floor(ideal)
  if (lower % 2 === 0) lower--
  const small = Math.round((12 * sigma * sigma - 3 * lower * lower - 12 * lower - 9) / (-4 * lower - 4))
  return [0, 1, 2].map(i => ((i < small ? lower : lower + 2) - 1) / 2) as [number, number, number]
}

/**
 * Blurs `plane` in place; edges repeat. @param scratch same length. Rows and columns are passed in
 * turn, columns a row at a time so that memory is walked in order.
 */
export function blurPlane(
  plane: Float32Array,
  {
    width,
    height,
    sigma,
    scratch
  }: { readonly width: number; readonly height: number; readonly sigma: number; readonly scratch: Float32Array }
): void {
  if (sigma <= 0) return
  for (const wanted of boxRadii(sigma)) {
    const across = Math.min(wanted, width - 1),
      down = Math.min(wanted, height - 1)
    if (across > 0) blurRows(plane, scratch, { width, height, radius: across })
    else scratch.set(plane)
    if (down > 0) blurColumns(scratch, plane, { width, height, radius: down })
    else plane.set(scratch)
  }
}

/** One box with the spread of a Gaussian of `sigma`, in place: for local means, where smoothness does not show. */
export function boxPlane(
  plane: Float32Array,
  {
    width,
    height,
    sigma,
    scratch
  }: { readonly width: number; readonly height: number; readonly sigma: number; readonly scratch: Float32Array }
): void {
  const radius = Math.round((Math.sqrt(12 * sigma * sigma + 1) - 1) / 2)
  const across = Math.min(radius, width - 1),
    down = Math.min(radius, height - 1)
  if (across > 0) blurRows(plane, scratch, { width, height, radius: across })
  else scratch.set(plane)
  if (down > 0) blurColumns(scratch, plane, { width, height, radius: down })
  else plane.set(scratch)
}

function blurRows(
  from: Float32Array,
  to: Float32Array,
  { width, height, radius }: { readonly width: number; readonly height: number; readonly radius: number }
): void {
  const scale = 1 / (2 * radius + 1)
  for (let y = 0; y < height; y++) {
    const base = y * width,
      last = base + width - 1
    let sum = from[base] * (radius + 1)
    for (let x = 1; x <= radius; x++) sum += from[Math.min(base + x, last)]
    const first = from[base],
      end = from[last]
    const lead = Math.min(radius, width - radius - 1)
    let x = 0
    for (; x < lead; x++) {
      // the window still hangs over the left edge
      to[base + x] = sum * scale
      sum += from[base + x + radius + 1] - first
    }
    for (; x < width - radius - 1; x++) {
      to[base + x] = sum * scale
      sum += from[base + x + radius + 1] - from[base + x - radius]
    }
    for (; x < width; x++) {
      to[base + x] = sum * scale
      sum += end - (x < radius ? first : from[base + x - radius])
    }
  }
}

function blurColumns(
  from: Float32Array,
  to: Float32Array,
  { width, height, radius }: { readonly width: number; readonly height: number; readonly radius: number }
): void {
  const scale = 1 / (2 * radius + 1)
  const sums = new Float64Array(width)
  const row = (y: number): number => Math.min(height - 1, Math.max(0, y)) * width
  for (let x = 0; x < width; x++) sums[x] = from[x] * (radius + 1)
  for (let y = 1; y <= radius; y++) for (let x = 0, base = row(y); x < width; x++) sums[x] += from[base + x]
  for (let y = 0; y < height; y++) {
    const base = y * width,
      enter = row(y + radius + 1),
      leave = row(y - radius)
    for (let x = 0; x < width; x++) {
      to[base + x] = sums[x] * scale
      sums[x] += from[enter + x] - from[leave + x]
    }
  }
}
