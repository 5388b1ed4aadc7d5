/** Where a picture has edges, how sharp they are, and how busy it is. */
import type { Plane } from '../../picture/plane'
import { perPlanes } from '../../picture/per-planes'
import type { Planes } from '../../picture/planes'
import { WORKING_EDGE } from '../../picture/raster'
import { mapsInKernel, profileInKernel } from './edges-kernel'
import { mapsInScript, profileInScript } from './edges-script'

/**
 * Gradient in L* a pixel (1024 raster) from which a pixel is an edge. Our choice: a step the eye sees as a line at
 * arm's length.
 */
const EDGE_GRADIENT = 4
/**
 * An edge counts from a step of 12 L* on, a deviation of half that: fainter ones are texture, whose sharpness nobody
 * judges.
 */
const LEAST_DEVIATION = 6

export interface EdgeMaps {
  /**
   * 0 soft – 1 as sharp as a pixel allows: gradient over the local contrast around it. Two L* in the divisor keep the
   * texture of a flat wall from counting as sharp.
   */
  readonly sharpness: Float32Array
  /** Share of edge pixels nearby, 0–1, at half the raster's size. */
  readonly detail: Plane
  /** Standard deviation of L* nearby, at half the raster's size: half the step of an edge that is there. */
  readonly contrast: Plane
}

/** Spread of what is nearby, and the gradient of an edge, at the raster's size. */
export interface EdgeScale {
  readonly sigma: number
  readonly edge: number
}

/** Which pixels are read, 1 in the mask, and the contrast from which on sharpness counts. */
export interface Read {
  readonly width: number
  readonly height: number
  readonly mask: Uint8Array
  readonly least: number
}

/** Over some pixels: how many, their detail, their sharpness where the contrast is enough, and its square. */
export interface ProfileSums {
  readonly n: number
  readonly busy: number
  readonly weight: number
  readonly square: number
}

/** Kept with the planes: the report, the lenses and every figure read the same maps. */
export const edgeMaps = perPlanes((planes: Planes): EdgeMaps => {
  const scale = Math.max(planes.width, planes.height) / WORKING_EDGE,
    at = { sigma: Math.max(1, 6 * scale), edge: EDGE_GRADIENT / Math.max(scale, 1 / 16) }
  return mapsInKernel(planes, at) ?? mapsInScript(planes, at)
})

/** Edge-weighted mean sharpness and mean detail over an area. */
export interface Profile {
  /** Null where no edge counts. */
  readonly sharpness: number | null
  readonly detail: number
}

/** @param mask 1 where it is read. @returns null where nowhere is. */
export function profileOver(
  maps: EdgeMaps,
  mask: Uint8Array,
  { width, height }: Pick<Planes, 'width' | 'height'>
): Profile | null {
  const where = { width, height, mask, least: LEAST_DEVIATION },
    { n, busy, weight, square } = profileInKernel(maps, where) ?? profileInScript(maps, where)
  // Weighted by itself: how sharp the edges are that are there, not how many.
  return n === 0 ? null : { sharpness: weight > 0 ? square / weight : null, detail: busy / n }
}
