/**
 * The picture worker: holds the picture's planes (and its reference's) and answers everything the bench asks of them.
 */
import { expose, transfer } from 'comlink'
import { formatHex } from '~~/core/colour/srgb'
import { temperatureOf } from '~~/core/colour/temperature'
import { depthOf, measureArea, measurePiece } from '~~/core/critique/piece/measure'
import { renderLens, type LensRequest } from '~~/core/lens/lens'
import { attentionOf } from '~~/core/measure/focus/attention/attention'
import { pullsOf } from '~~/core/measure/focus/focus'
import { readFramings } from '~~/core/measure/composition/framing'
import { hueHistogram, type HueHistogram } from '~~/core/measure/harmony/hues'
import { chromaticBlacks, flatBlackPatches } from '~~/core/measure/value/patches'
import { scatterOf } from '~~/core/measure/harmony/scatter'
import { fitAt, reportFit } from '~~/core/measure/harmony/scheme'
import { meanOf, RING_SHARE } from '~~/core/measure/value/separation'
import { ringOf, spansOf } from '~~/core/picture/area'
import { coarsen } from '~~/core/picture/distribution'
import { planesOf, type Planes } from '~~/core/picture/planes'
import { diagonalOf, type Raster } from '~~/core/picture/raster'
import { fitWithin, reduceTo } from '~~/core/picture/resample'
import { applyTrials } from '~~/core/trial/apply'
import { metIn } from '~~/core/measure/focus/met'
import { effectNumbers } from '~~/core/trial/effect'
import { describeColour } from '~~/core/wheel/describe'
import type { WheelName } from '~~/core/wheel/steps'
import { decoded } from './decoded'
import type { PictureWorker, Which } from './protocol'

interface Held {
  readonly raster: Raster
  readonly planes: Planes
}
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

const hues = (wheel: WheelName): HueHistogram => hueHistogram(picture().raster, picture().planes, wheel)

const worker: PictureWorker = {
  async load(file, which) {
    const raster = await decoded(file)
    held.set(which, { raster, planes: planesOf(raster) })
    small.delete(which)
    return { width: raster.width, height: raster.height }
  },

  async lens(request: LensRequest, edge, which = 'own') {
    const { raster, planes } = edge ? reduced(edge, which) : picture(which)
    const out = new Uint8ClampedArray(raster.data.length)
    renderLens(request, { raster, planes, out })
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

  area: async (name, area) => measureArea(name, area, picture()),
  piece: async (known, source) =>
    measurePiece({ pixels: picture(), source, known, reference: held.get('reference')?.planes }),

  async probe(x, y, wheel) {
    const { raster, planes } = picture()
    const { width, height } = raster
    const px = Math.min(width - 1, Math.max(0, Math.floor(x * width))),
      py = Math.min(height - 1, Math.max(0, Math.floor(y * height)))
    const i = py * width + px
    if (!planes.mask[i]) return null
    const p = i * 4
    const point = { width, height, top: py, rows: [[px, px + 1]] }
    const ring = meanOf(ringOf(point, RING_SHARE * diagonalOf(raster)), planes, raster)
    const own = temperatureOf([planes.lightness[i]!, planes.a[i]!, planes.b[i]!])
    return {
      ...describeColour(formatHex(raster.data.subarray(p, p + 3)), wheel),
      relativeTemperature: ring && own - temperatureOf(ring.oklab)
    }
  },

  flatBlacks: async darksTemperature =>
    flatBlackPatches(picture().planes).map(patch => ({
      ...patch,
      blacks: chromaticBlacks(patch.value, darksTemperature)
    })),
  depth: async areas => depthOf(areas, picture()),

  schemeAt: async (scheme, rotation, wheel) =>
    hues(wheel).totalWeight > 0
      ? reportFit(fitAt(scheme, hues(wheel).weight, ((Math.round(rotation) % 360) + 360) % 360))
      : null,
  scatter: async () => scatterOf(picture().raster, picture().planes),

  pulls: async points => pullsOf(points, attentionOf(picture().planes)),

  framings: async () => readFramings(picture().raster),

  async tried(trials, quick) {
    const { width, height, data } = applyTrials(trials, picture().raster, quick)
    const bitmap = await createImageBitmap(new ImageData(new Uint8ClampedArray(data), width, height))
    return transfer(bitmap, [bitmap])
  },

  async effect(trials, subjects, known) {
    const { raster, planes } = picture(),
      of = { wheel: known.wheel, met: metIn(known), subjects }
    return trials.length === 0
      ? effectNumbers({ ...of, raster, planes })
      : effectNumbers({ ...of, raster: applyTrials(trials, raster) })
  },

  async lightOf(area) {
    const { raster, planes } = picture()
    return meanOf(spansOf(area, raster), planes, raster)?.linear ?? null
  }
}

expose(worker)
