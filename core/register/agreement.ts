/**
 * How far two pictures agree, patch by patch, once one lies on the other: what was repainted agrees with nothing, and
 * what is flat says nothing.
 */
import type { Homography } from '../numeric/homography'
import { halfOf, type Look } from './look'

/** Patches along the long edge. */
const ALONG = 14
/** Of a patch that has to be seen in both. */
const SEEN = 0.6

export interface Patches {
  readonly across: number
  readonly down: number
  /** Correlation of each, −1 to 1; −2 where too little of it is seen in both. */
  readonly correlation: Float32Array
  /** How much there is to see in each: the smaller of both variances. */
  readonly energy: Float32Array
  /** Of the old picture, what is seen in both: 0–1. */
  readonly overlap: number
}

export function patchesOf(old: Look, next: Look, h: Homography): Patches {
  const { width, height, data } = old,
    long = Math.max(width, height),
    across = Math.max(1, Math.round((ALONG * width) / long)),
    down = Math.max(1, Math.round((ALONG * height) / long)),
    cells = across * down
  const n = new Float64Array(cells),
    sa = new Float64Array(cells),
    sb = new Float64Array(cells),
    saa = new Float64Array(cells),
    sbb = new Float64Array(cells),
    sab = new Float64Array(cells)
  const half = halfOf(old),
    to = halfOf(next),
    { width: w, height: hh, data: other } = next
  let seen = 0
  for (let y = 0; y < height; y++) {
    const v = (y + 0.5 - height / 2) / half,
      row = Math.min(down - 1, ((y * down) / height) | 0) * across
    for (let x = 0; x < width; x++) {
      const u = (x + 0.5 - width / 2) / half,
        z = h[6] * u + h[7] * v + h[8]
      const px = ((h[0] * u + h[1] * v + h[2]) / z) * to + w / 2 - 0.5,
        py = ((h[3] * u + h[4] * v + h[5]) / z) * to + hh / 2 - 0.5
      if (!(z > 0 && px >= 0 && py >= 0 && px < w - 1 && py < hh - 1)) continue
      const ix = px | 0,
        iy = py | 0,
        fx = px - ix,
        fy = py - iy,
        i = iy * w + ix
      const b =
          (other[i] * (1 - fx) + other[i + 1] * fx) * (1 - fy) + (other[i + w] * (1 - fx) + other[i + w + 1] * fx) * fy,
        a = data[y * width + x],
        cell = row + Math.min(across - 1, ((x * across) / width) | 0)
      seen++
      n[cell]++
      sa[cell] += a
      sb[cell] += b
      saa[cell] += a * a
      sbb[cell] += b * b
      sab[cell] += a * b
    }
  }
  const correlation = new Float32Array(cells).fill(-2),
    energy = new Float32Array(cells),
    whole = (width * height) / cells
  for (let i = 0; i < cells; i++) {
    if (n[i] < SEEN * whole) continue
    const va = saa[i] / n[i] - (sa[i] / n[i]) ** 2,
      vb = sbb[i] / n[i] - (sb[i] / n[i]) ** 2
    energy[i] = Math.max(0, Math.min(va, vb))
    correlation[i] = (sab[i] / n[i] - (sa[i] * sb[i]) / n[i] ** 2) / Math.sqrt(Math.max(1e-6, va * vb))
  }
  return { across, down, correlation, energy, overlap: seen / (width * height) }
}

/** Of what there is to see, so much may have been repainted. */
const REPAINTED = 0.35
/** With less of the old picture in sight, agreement counts for less. */
const ENOUGH = 0.5

/**
 * Mean correlation of the patches, each by what there is to see in it, the worst third left out; less where little is
 * seen in both. @returns −1 to 1.
 */
export function agreementOf({ correlation, energy, overlap }: Patches): number {
  const order = [...correlation.keys()]
      .filter(i => correlation[i] > -2)
      .sort((p, q) => correlation[q] - correlation[p]),
    all = order.reduce((sum, i) => sum + energy[i], 0),
    wanted = (1 - REPAINTED) * all
  let sum = 0,
    taken = 0
  for (const i of order) {
    if (taken >= wanted) break
    const weight = Math.min(energy[i], wanted - taken)
    sum += weight * correlation[i]
    taken += weight
  }
  return taken > 0 ? (sum / taken) * Math.min(1, overlap / ENOUGH) : 0
}
