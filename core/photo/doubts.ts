/** What a photograph cannot be trusted in, and which readings that shakes. */
import { chromaOf, convertLinearToOklab } from '../colour/oklab'
import { LINEAR_OF_BYTE, type Rgb } from '../colour/srgb'
import { listComponents } from '../picture/components'
import { lumaPlane } from '../picture/luma'
import type { Raster } from '../picture/raster'
import type { PhotoDoubt } from './steps'

/** Of the sheet, what may be clipped, and shine in one patch; pixels of long edge; OKLab chroma; pixels of 1000. */
const LIMIT = { clipped: 0.02, glare: 0.002, pixels: 800, cast: 0.045, rise: 4.2 } as const
const LIGHT = 253,
  DARK = 2

/**
 * @param sheet straightened and otherwise as photographed, about 1000 pixels. @param own long edge of the sheet in the
 * photograph, pixels. @param known whether a white or a grey was picked.
 */
export function photoDoubts(
  sheet: Raster,
  { own, known }: { readonly own: number; readonly known: boolean }
): PhotoDoubt[] {
  const { width, height, data } = sheet,
    count = width * height,
    clipped = new Uint8Array(count)
  let lights = 0,
    darks = 0
  for (let p = 0, i = 0; p < count; p++, i += 4) {
    if (data[i] >= LIGHT && data[i + 1] >= LIGHT && data[i + 2] >= LIGHT) {
      clipped[p] = 1
      lights++
    }
    if (data[i] <= DARK && data[i + 1] <= DARK && data[i + 2] <= DARK) darks++
  }
  const said: PhotoDoubt[] = [],
    percent = (n: number): string => `${Math.round((100 * n) / count)} %`
  const shine = listComponents(clipped, { width, height, most: 1 })[0]?.size ?? 0
  if (lights > LIMIT.clipped * count)
    said.push({
      kind: 'clipped-lights',
      sentence: `${percent(lights)} of the lights are burnt out: take it again a little darker.`
    })
  else if (shine > LIMIT.glare * count)
    said.push({ kind: 'glare', sentence: 'A patch of it shines: turn the sheet, or the lamp, until it does not.' })
  if (darks > LIMIT.clipped * count)
    said.push({
      kind: 'clipped-darks',
      sentence: `${percent(darks)} of it is drowned in black: if the paint is not, take it again in more light.`
    })
  if (!known && castOf(sheet) > LIMIT.cast)
    said.push({
      kind: 'cast',
      sentence:
        'Even its lightest places have a colour: the lamp’s, or the paint’s. Pick something that is white in truth.'
    })
  const rise = riseOf(sheet)
  if (rise !== null && rise * (1000 / Math.max(width, height)) > LIMIT.rise)
    said.push({ kind: 'blur', sentence: 'No edge in it is sharp: hold still, and touch the picture to focus.' })
  if (own < LIMIT.pixels)
    said.push({
      kind: 'small',
      sentence: `Only ${Math.round(own)} pixels of the photograph are the sheet: come closer.`
    })
  return said
}

/** OKLab chroma of the lightest fiftieth. */
function castOf(sheet: Raster): number {
  const { data } = lumaPlane(sheet),
    order = Float32Array.from(data).sort(),
    least = order[Math.floor(0.98 * (order.length - 1))]
  const sum = [0, 0, 0]
  let n = 0
  data.forEach((v, p) => {
    if (v < least) return
    for (let c = 0; c < 3; c++) sum[c] += LINEAR_OF_BYTE[sheet.data[4 * p + c]]
    n++
  })
  const mean = sum.map(v => v / n) as unknown as Rgb
  const top = Math.max(...mean) || 1
  return chromaOf(convertLinearToOklab(mean.map(v => v / top) as unknown as Rgb))
}

/** Windows about a pixel that an edge is read in, and contrast, 0–100, from which it is one. */
const WINDOW = 5,
  CONTRAST = 14

/** Pixels that the sharpest edges take to rise; null where there is none to speak of. */
function riseOf(sheet: Raster): number | null {
  const { width, height, data } = lumaPlane(sheet),
    widths: number[] = []
  for (let y = WINDOW; y < height - WINDOW; y += 3)
    for (let x = WINDOW; x < width - WINDOW; x += 3) {
      const i = y * width + x
      for (const step of [1, width]) {
        const slope = Math.abs(data[i + step] - data[i - step]) / 2
        if (slope < 1) continue
        let low = 100,
          high = 0
        for (let k = -WINDOW; k <= WINDOW; k++) {
          low = Math.min(low, data[i + k * step])
          high = Math.max(high, data[i + k * step])
        }
        if (high - low > CONTRAST) widths.push((high - low) / slope)
      }
    }
  if (widths.length < 60) return null
  return widths.sort((p, q) => p - q)[Math.floor(0.03 * widths.length)]
}
