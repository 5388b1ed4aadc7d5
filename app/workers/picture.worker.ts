/** The picture worker: holds the picture's planes (and its reference's) and answers everything the bench asks of them. */
import { expose, transfer } from 'comlink'
import { formatHex } from '~~/core/colour/srgb'
import { temperatureOf } from '~~/core/colour/temperature'
import { renderLens, type LensRequest } from '~~/core/lens/lens'
import { silhouetteOf } from '~~/core/measure/composition'
import { fitTo } from '~~/core/measure/declared'
import { measureDepth } from '~~/core/measure/depth'
import { cutOutOf, edgeMaps, measureEdges, type EdgeMaps } from '~~/core/measure/edges'
import { attentionOf } from '~~/core/measure/attention/attention'
import { measureFocus, pullsOf, readingOrder } from '~~/core/measure/focus'
import { readFramings } from '~~/core/measure/framing'
import { greyDisagreements } from '~~/core/measure/greys'
import { measureHarmony } from '~~/core/measure/harmony'
import { hueHistogram, type HueHistogram } from '~~/core/measure/hues'
import { ambientOf, measureLight } from '~~/core/measure/light'
import { chromaticBlacks, nearBlackPatches, nearWhitePatches } from '~~/core/measure/patches'
import { isMeasured } from '~~/core/measure/report'
import { scatterOf } from '~~/core/measure/scatter'
import { fitAt, reportFit } from '~~/core/measure/scheme'
import { meanOf, measureSeparation, RING_SHARE } from '~~/core/measure/separation'
import { areaTemperature } from '~~/core/measure/temperature'
import { readThumbnail } from '~~/core/measure/thumbnail'
import { measureValue } from '~~/core/measure/value'
import { discAt, ringOf, spansOf, type Area } from '~~/core/picture/area'
import { coarsen } from '~~/core/picture/distribution'
import { planesOf, type Planes } from '~~/core/picture/planes'
import { diagonalOf, type Raster } from '~~/core/picture/raster'
import { fitWithin, reduceTo } from '~~/core/picture/resample'
import { applyTrials } from '~~/core/trial/apply'
import { effectNumbers } from '~~/core/trial/effect'
import { describeColour } from '~~/core/wheel/describe'
import type { WheelName } from '~~/core/wheel/steps'
import type { Point } from '~~/shared/notes'
import type { PictureWorker, Which } from './protocol'

interface Held { readonly raster: Raster, readonly planes: Planes }
const held = new Map<Which, Held>()
/** Each picture once more at the size of the small live views. */
const small = new Map<Which, Held & { readonly edge: number }>()

function picture(which: Which = 'own'): Held {
  const found = held.get(which)
  if (!found) throw new Error('the worker holds no picture yet')
  return found
}

function reduced(edge: number, which: Which): Held {
  const known = small.get(which)
  if (known?.edge === edge) return known
  const { raster } = picture(which)
  const size = fitWithin(raster.width, raster.height, edge)
  const reducedRaster = reduceTo({ ...raster, channels: 4 }, size.width, size.height)
  const made = { edge, raster: reducedRaster, planes: planesOf(reducedRaster) }
  small.set(which, made)
  return made
}

/** The maps of a figure's edges, made when first asked for. */
let edges: EdgeMaps | null = null

const hues = (wheel: WheelName): HueHistogram => hueHistogram(picture().raster, picture().planes, wheel)

/** What a picked point is averaged over, as a share of the diagonal. */
const SAMPLE_RADIUS = 0.012
const sampleAt = ({ x, y }: Point): Area => discAt(x, y, SAMPLE_RADIUS, picture().raster)

const worker: PictureWorker = {
  async load(file, which) {
    const bitmap = await createImageBitmap(file, { premultiplyAlpha: 'none', colorSpaceConversion: 'none' })
    const { width, height } = bitmap
    const context = new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true })!
    context.drawImage(bitmap, 0, 0)
    bitmap.close()
    const raster: Raster = { width, height, data: context.getImageData(0, 0, width, height).data }
    held.set(which, { raster, planes: planesOf(raster) })
    small.delete(which)
    return { width, height }
  },

  async lens(request: LensRequest, edge, which = 'own') {
    const { raster, planes } = edge ? reduced(edge, which) : picture(which)
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
    return fit && { scheme, coverage: fit.coverage, rotation: fit.rotation }
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
  },

  greys: async () => greyDisagreements(picture().raster, picture().planes),
  patches: async darksTemperature => ({
    black: nearBlackPatches(picture().planes).map(patch => ({ ...patch, blacks: chromaticBlacks(patch.value, darksTemperature) })),
    white: nearWhitePatches(picture().planes)
  }),
  thumbnail: async focus => readThumbnail(picture().raster, picture().planes, focus),
  depth: async areas => measureDepth(areas, picture().planes, picture().raster),

  async figure(area) {
    const { raster, planes } = picture()
    edges ??= edgeMaps(planes)
    return { temperature: areaTemperature(area, planes, raster), cutOut: cutOutOf(area, planes, edges), silhouette: silhouetteOf(area, raster.width, raster.height) }
  },

  harmony: async wheel => measureHarmony(picture().raster, picture().planes, wheel),
  schemeAt: async (scheme, rotation, wheel) => (hues(wheel).totalWeight > 0 ? reportFit(fitAt(scheme, hues(wheel).weight, ((Math.round(rotation) % 360) + 360) % 360)) : null),
  scatter: async () => scatterOf(picture().raster, picture().planes),

  pulls: async points => pullsOf(points, attentionOf(picture().planes)),

  async route(stops) {
    const focus = measureFocus(picture().planes, null)
    return readingOrder(isMeasured(focus) ? focus.peaks : [], stops)
  },

  async light(pairs, surroundings) {
    const { raster, planes } = picture()
    const whole = pairs.flatMap(({ name, lit, shadow }) => (shadow ? [{ name, lit: sampleAt(lit), shadow: sampleAt(shadow) }] : []))
    const section = measureLight(whole, planes, raster)
    const around = surroundings && meanOf(spansOf(sampleAt(surroundings), raster.width, raster.height), planes, raster)
    return { section, ambient: around && isMeasured(section) ? ambientOf(section.consensus, around.linear) : null }
  },

  framings: async () => readFramings(picture().raster),

  async tried(trials, quick) {
    const { width, height, data } = applyTrials(trials, picture().raster, quick)
    const bitmap = await createImageBitmap(new ImageData(new Uint8ClampedArray(data), width, height))
    return transfer(bitmap, [bitmap])
  },

  async effect(trials, subjects, wheel) {
    const { raster, planes } = picture()
    return trials.length === 0 ? effectNumbers(raster, wheel, subjects, planes) : effectNumbers(applyTrials(trials, raster), wheel, subjects)
  },

  async lightOf(area) {
    const { raster, planes } = picture()
    return meanOf(spansOf(area, raster.width, raster.height), planes, raster)?.linear ?? null
  },

  referenceValue: async () => measureValue(picture('reference').planes)
}

expose(worker)
