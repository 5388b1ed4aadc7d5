/** Lenses drawn from a map of the whole picture: attention, and the sharpness of edges. */
import { attentionOf } from '../measure/focus/attention/attention'
import { edgeMaps } from '../measure/composition/edge-maps'
import { enlargePlane } from '../picture/plane'
import type { Planes } from '../picture/planes'
import type { Raster } from '../picture/raster'
import { greyOf, sunkGrey } from './tones'

/** The picture comes out of the dark where the eye goes, in its own colour. */
export function attentionLens({ width, height, data }: Raster, planes: Planes, out: Uint8ClampedArray): void {
  const map = enlargePlane(attentionOf(planes).map, width, height).data
  for (let i = 0, p = 0; i < map.length; i++, p += 4) {
    const seen = Math.sqrt(map[i]),
      ground = 0.55 * sunkGrey(planes.value[i])
    for (let c = 0; c < 3; c++) out[p + c] = ground + (data[p + c] - ground) * seen
    out[p + 3] = data[p + 3]
  }
}

/** Edges as light lines, the sharper the lighter; soft places stay dark. */
export function edgesLens({ data }: Raster, planes: Planes, out: Uint8ClampedArray): void {
  const { sharpness } = edgeMaps(planes)
  for (let i = 0, p = 0; i < sharpness.length; i++, p += 4) {
    out[p] = out[p + 1] = out[p + 2] = greyOf(12 + 88 * Math.min(1, 1.2 * sharpness[i]))
    out[p + 3] = data[p + 3]
  }
}

/** How busy each place is: the more edges lie nearby, the lighter. */
export function detailLens({ width, data }: Raster, planes: Planes, out: Uint8ClampedArray): void {
  const { detail } = edgeMaps(planes)
  for (let i = 0, p = 0; i < data.length / 4; i++, p += 4) {
    const busy = detail.data[((i / width) >> 1) * detail.width + ((i % width) >> 1)]
    out[p] = out[p + 1] = out[p + 2] = greyOf(12 + 88 * Math.min(1, 2.5 * busy))
    out[p + 3] = data[p + 3]
  }
}
