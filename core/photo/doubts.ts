/** What a photograph cannot be trusted in, and which readings that shakes. */
import { chromaOf, convertLinearToOklab } from '../colour/oklab'
import { LINEAR_OF_BYTE, type Rgb } from '../colour/srgb'
import { listComponents, type Component } from '../picture/components'
import { lumaPlane } from '../picture/luma'
import type { Raster } from '../picture/raster'
import type { PhotoDoubt } from './steps'

/** Of the sheet, what may be clipped, and shine in one patch; pixels of long edge; OKLab chroma; pixels of 1000. */
const LIMIT = { clipped: 0.02, glare: 0.002, pixels: 800, cast: 0.045, rise: 4.2 } as const
const LIGHT = 253,
  RIM = 215,
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
    clipped = new Uint8Array(count),
    nearly = new Uint8Array(count)
  let lights = 0,
    darks = 0
  for (let p = 0, i = 0; p < count; p++, i += 4) {
    const least = Math.min(data[i], data[i + 1], data[i + 2])
    if (least >= RIM) nearly[p] = 1
    if (least >= LIGHT) {
      clipped[p] = 1
      lights++
    }
    if (data[i] <= DARK && data[i + 1] <= DARK && data[i + 2] <= DARK) darks++
  }
  const said: PhotoDoubt[] = [],
    percent = (n: number): string => `${Math.round((100 * n) / count)} %`
  const [patch] = listComponents(clipped, { width, height, most: 1 }),
    [withRim] = listComponents(nearly, { width, height, most: 1 }),
    shines = patch !== undefined && patch.size > LIMIT.glare * count
  // One round patch with a soft rim is a lamp's reflection, however large; other lights are burnt out.
  if (
    lights > LIMIT.clipped * count
    && !(shines && isShine(patch, { lights, rim: withRim.size / patch.size, width, height }))
  )
    said.push({
      kind: 'clipped-lights',
      sentence: `${percent(lights)} of the lights are burnt out: take it again a little darker.`
    })
  else if (shines)
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
  // Of a sheet that is small as it is, pixels count as they are: that it is small is said by itself.
  if (rise !== null && rise * Math.min(1, 1000 / Math.max(width, height)) > LIMIT.rise)
    said.push({ kind: 'blur', sentence: 'No edge in it is sharp: hold still, and touch the picture to focus.' })
  if (own < LIMIT.pixels)
    said.push({
      kind: 'small',
      sentence: `Only ${Math.round(own)} pixels of the photograph are the sheet: come closer.`
    })
  return said
}

/**
 * Of all that is burnt out, a reflection's share; of its bounding rectangle, what it fills; how far from square; with
 * its rim, how much larger it is: a white thing ends at once.
 */
const SHINE = { share: 0.7, fills: 0.62, long: 2.5, rim: [1.2, 4] } as const

interface Burnt {
  /** Pixels of all that is burnt out. */
  readonly lights: number
  /** Times the patch's own size. */
  readonly rim: number
  readonly width: number
  readonly height: number
}
function isShine({ size, bounds: { x, y, w, h } }: Component, { lights, rim, width, height }: Burnt): boolean {
  const across = w * width,
    down = h * height,
    inside = x > 0.01 && y > 0.01 && x + w < 0.99 && y + h < 0.99
  return (
    inside
    && size > SHINE.share * lights
    && size > SHINE.fills * across * down
    && Math.max(across / down, down / across) < SHINE.long
    && rim > SHINE.rim[0]
    && rim < SHINE.rim[1]
  )
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
