/** The picture worker: holds one picture's planes and answers everything the bench asks of it. */
import { expose, transfer } from 'comlink'
import { formatHex } from '~~/core/colour/srgb'
import { temperatureOf } from '~~/core/colour/temperature'
import { renderLens, type LensRequest } from '~~/core/lens/lens'
import { fitTo } from '~~/core/measure/declared'
import { measureEdges } from '~~/core/measure/edges'
import { measureFocus } from '~~/core/measure/focus'
import { hueHistogram, type HueHistogram } from '~~/core/measure/hues'
import { meanOf, measureSeparation, RING_SHARE } from '~~/core/measure/separation'
import { ringOf } from '~~/core/picture/area'
import { coarsen } from '~~/core/picture/distribution'
import { planesOf, type Planes } from '~~/core/picture/planes'
import { diagonalOf, type Raster } from '~~/core/picture/raster'
import { fitWithin, reduceTo } from '~~/core/picture/resample'
import { describeColour } from '~~/core/wheel/describe'
import type { WheelName } from '~~/core/wheel/steps'
import type { PictureWorker } from './protocol'

interface Held { readonly raster: Raster, readonly planes: Planes }
let held: Held | null = null
let small: (Held & { edge: number }) | null = null
const huesOf = new Map<WheelName, HueHistogram>()

function picture(): Held {
  if (!held) throw new Error('the worker holds no picture yet')
  return held
}

/** The picture at a smaller size, for the small live views. */
function reduced(edge: number): Held {
  const { raster } = picture()
  if (small?.edge === edge) return small
  const size = fitWithin(raster.width, raster.height, edge)
  const reducedRaster = reduceTo({ ...raster, channels: 4 }, size.width, size.height)
  small = { edge, raster: reducedRaster, planes: planesOf(reducedRaster) }
  return small
}

function hues(wheel: WheelName): HueHistogram {
  let found = huesOf.get(wheel)
  if (!found) huesOf.set(wheel, found = hueHistogram(picture().raster, picture().planes, wheel))
  return found
}

const worker: PictureWorker = {
  async load(file) {
    const bitmap = await createImageBitmap(file, { premultiplyAlpha: 'none', colorSpaceConversion: 'none' })
    const { width, height } = bitmap
    const context = new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true })!
    context.drawImage(bitmap, 0, 0)
    bitmap.close()
    const raster: Raster = { width, height, data: context.getImageData(0, 0, width, height).data }
    held = { raster, planes: planesOf(raster) }
    small = null
    huesOf.clear()
    return { width, height }
  },

  async lens(request: LensRequest, edge) {
    const { raster, planes } = edge ? reduced(edge) : picture()
    const out = new Uint8ClampedArray(raster.data.length)
    renderLens(request, raster, planes, out)
    const bitmap = await createImageBitmap(new ImageData(out, raster.width, raster.height))
    return transfer(bitmap, [bitmap])
  },

  async histogram() {
    return [...coarsen(picture().planes.values, 100, 64).counts]
  },

  async hues(wheel) {
    const { weight, totalWeight } = hues(wheel)
    return [...weight].map(w => (totalWeight > 0 ? w / totalWeight : 0))
  },

  async separation(name, area) {
    return measureSeparation(name, area, picture().planes, picture().raster)
  },

  async focused(area) {
    const { planes } = picture()
    return { focus: measureFocus(planes, area), edges: measureEdges(planes, area) }
  },

  async declared(scheme, wheel) {
    const fit = fitTo(scheme, null, hues(wheel))
    return fit && { scheme, coverage: fit.coverage }
  },

  async probe(x, y, wheel) {
    const { raster, planes } = picture()
    const { width, height } = raster
    const px = Math.min(width - 1, Math.max(0, Math.floor(x * width))), py = Math.min(height - 1, Math.max(0, Math.floor(y * height)))
    const i = py * width + px
    if (!planes.mask[i]) return null
    const p = i * 4
    const point = { width, height, top: py, rows: [[px, px + 1]] }
    const ring = meanOf(ringOf(point, RING_SHARE * diagonalOf(raster)), planes, raster)
    const own = temperatureOf([planes.lightness[i]!, planes.a[i]!, planes.b[i]!])
    return { ...describeColour(formatHex(raster.data.subarray(p, p + 3)), wheel), relativeTemperature: ring && own - temperatureOf(ring.oklab) }
  }
}

expose(worker)
