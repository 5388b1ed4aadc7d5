/** The full-size picture with its trials applied, and the OpenRaster file of original, trials and marks. */
import sharp, { type Sharp } from 'sharp'
import { zipSync, type Zippable } from 'fflate'
import { linesOfMark, type Mark } from '../../../core/critique/mark'
import { OPEN_RASTER_THUMB, OPEN_RASTER_TYPE, stackXml, type RasterLayer } from '../../../core/export/open-raster'
import type { Area } from '../../../core/picture/area'
import { createRaster, diagonalOf, type Raster } from '../../../core/picture/raster'
import { applyTrial } from '../../../core/trial/apply'
import { reachOf } from '../../../core/trial/reach'
import type { Trial } from '../../../core/trial/trial'
import { openPicture } from '../decode'
import type { Progress } from '../protocol'
import { differenceOf } from './difference'

export interface LayeredCorrection {
  /** Tag and words, as the layer is called. */
  readonly name: string
  readonly area: Area | null
  readonly mark: Mark | null
  readonly trial: Trial | null
}

/** Every pixel of a stored original, upright, in sRGB. */
export async function decodeFull(bytes: Uint8Array): Promise<Raster> {
  const { data, info } = await openPicture(bytes)
    .rotate()
    .toColourspace('srgb')
    .ensureAlpha()
    .raw({ depth: 'uchar' })
    .toBuffer({ resolveWithObject: true })
  return {
    width: info.width,
    height: info.height,
    data: new Uint8ClampedArray(data.buffer, data.byteOffset, data.length)
  }
}

const imageOf = ({ width, height, data }: Raster): Sharp => sharp(data, { raw: { width, height, channels: 4 } })

/** Quick and lossless: a large file made now is worth more than a smaller one made later. */
const png = async (image: Sharp): Promise<Uint8Array> =>
  new Uint8Array(await image.png({ compressionLevel: 1, adaptiveFiltering: false }).toBuffer())

/** An opaque picture needs no fourth channel. */
async function pngOf(raster: Raster): Promise<Uint8Array> {
  const image = imageOf(raster)
  return png(isOpaque(raster) ? image.removeAlpha() : image)
}
function isOpaque({ data }: Raster): boolean {
  for (let i = 3; i < data.length; i += 4) if (data[i] !== 255) return false
  return true
}

export async function appliedPicture(
  original: Raster,
  corrections: readonly LayeredCorrection[],
  progress: Progress
): Promise<Uint8Array> {
  const tried = corrections.filter(c => c.trial),
    steps = tried.length + 2
  progress(1 / steps)
  let after = original
  for (const [i, { trial, area }] of tried.entries()) {
    after = applyTrial({ trial: trial!, area, raster: after })
    progress((i + 2) / steps)
  }
  return pngOf(after)
}

/** A mark as its lines, a light casing under a dark core, cut to their box; its tag is the layer's name. */
async function markLayer(
  { area, mark }: LayeredCorrection,
  { width, height }: Raster
): Promise<{ bytes: Uint8Array; x: number; y: number } | null> {
  const thick = Math.max(1, 0.0022 * diagonalOf({ width, height })),
    lines = linesOfMark(mark, area, { width, height })
  const xs = lines.flatMap(l => l.points.map(p => p[0] * width)),
    ys = lines.flatMap(l => l.points.map(p => p[1] * height)),
    edge = 3 * thick
  const x = Math.max(0, Math.floor(Math.min(...xs) - edge)),
    y = Math.max(0, Math.floor(Math.min(...ys) - edge))
  const w = Math.min(width, Math.ceil(Math.max(...xs) + edge)) - x,
    h = Math.min(height, Math.ceil(Math.max(...ys) + edge)) - y
  if (w < 1 || h < 1) return null
  const paths = lines.map(({ points, closed, filled }) => {
    const corners = points.map(([px, py]) => `${(px * width).toFixed(1)} ${(py * height).toFixed(1)}`),
      d = `M${corners.join('L')}${closed ? 'Z' : ''}`
    return (
      `<path d="${d}" fill="none" stroke="#f3f3f3" stroke-width="${2.2 * thick}"/>`
      + `<path d="${d}" fill="${filled ? '#111111' : 'none'}" stroke="#111111" stroke-width="${thick}"/>`
    )
  })
  const svg = Buffer.from(
    `<svg xmlns="http://www.w3.org/2000/svg" width="${w}" height="${h}" viewBox="${x} ${y} ${w} ${h}">`
      + `${paths.join('')}</svg>`
  )
  return { bytes: await png(sharp(svg, { limitInputPixels: false })), x, y }
}

/** Lays a small layer over a large picture, in place: only the part under it is composed. */
async function lay({
  bytes,
  x,
  y,
  canvas: { width, data }
}: {
  readonly bytes: Uint8Array
  readonly x: number
  readonly y: number
  readonly canvas: Raster
}): Promise<void> {
  const { width: w, height: h } = await sharp(bytes).metadata(),
    under = createRaster(w, h)
  const rowAt = (row: number): number => 4 * ((y + row) * width + x)
  for (let row = 0; row < h; row++) under.data.set(data.subarray(rowAt(row), rowAt(row) + 4 * w), 4 * w * row)
  const laid = await imageOf(under)
    .composite([{ input: Buffer.from(bytes) }])
    .raw()
    .toBuffer()
  for (let row = 0; row < h; row++) data.set(laid.subarray(4 * w * row, 4 * w * (row + 1)), rowAt(row))
}

/**
 * The open layered file: marks above trials above the original, what they look like together, and a thumbnail. Each
 * layer is written while the next is worked out; it is the writing that the file then waits for.
 */
export async function openRaster(
  original: Raster,
  corrections: readonly LayeredCorrection[],
  progress: Progress
): Promise<Uint8Array> {
  const files: Zippable = { mimetype: [new TextEncoder().encode(OPEN_RASTER_TYPE), { level: 0 }] }
  const layers: RasterLayer[] = [],
    steps = 3 + 2 * corrections.length
  let done = 0,
    merged = original
  const step = (): void => progress(++done / steps)
  const writing: Promise<void>[] = []
  const write = (file: string, bytes: Promise<Uint8Array>): void => {
    writing.push(
      bytes.then(made => {
        files[file] = [made, { level: 0 }]
      })
    )
  }
  const add = (
    name: string,
    file: string,
    { bytes, x, y }: { readonly bytes: Promise<Uint8Array>; readonly x: number; readonly y: number }
  ): void => {
    write(file, bytes)
    layers.unshift({ name, source: file, x, y })
  }
  add('original', 'data/original.png', { bytes: pngOf(original), x: 0, y: 0 })
  step()
  for (const [i, c] of corrections.entries()) {
    const after = c.trial ? applyTrial({ trial: c.trial, area: c.area, raster: merged }) : merged,
      cut =
        c.trial
        && differenceOf(
          merged,
          after,
          c.trial.strokes?.length
            ? { x0: 0, y0: 0, x1: merged.width, y1: merged.height }
            : reachOf(c.trial, { area: c.area, size: merged })
        )
    if (cut)
      add(`${c.name}, as it could be`, `data/trial-${i + 1}.png`, {
        bytes: png(imageOf(cut.raster)),
        x: cut.x,
        y: cut.y
      })
    merged = after
    step()
  }
  const together = createRaster(original.width, original.height),
    opaque = isOpaque(original)
  together.data.set(merged.data)
  for (const [i, c] of corrections.entries()) {
    if (c.area) {
      const layer = await markLayer(c, original)
      if (layer) {
        add(c.name, `data/mark-${i + 1}.png`, { bytes: Promise.resolve(layer.bytes), x: layer.x, y: layer.y })
        await lay({ bytes: layer.bytes, x: layer.x, y: layer.y, canvas: together })
      }
    }
    step()
  }
  files['stack.xml'] = [new TextEncoder().encode(stackXml(original.width, original.height, layers)), { level: 6 }]
  write('mergedimage.png', png(opaque ? imageOf(together).removeAlpha() : imageOf(together)))
  write(
    'Thumbnails/thumbnail.png',
    imageOf(together)
      .resize(OPEN_RASTER_THUMB, OPEN_RASTER_THUMB, { fit: 'inside', withoutEnlargement: true })
      .png()
      .toBuffer()
      .then(bytes => new Uint8Array(bytes))
  )
  await Promise.all(writing)
  step()
  // Pictures are stored as they are: there is nothing left to press out of them.
  const file = zipSync(files)
  step()
  return file
}
