/** A demo scene as a finished picture file. */
import { createHash } from 'node:crypto'
import { mkdir, readFile, rename, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import sharp from 'sharp'
import { OIL, paint } from './painter'
import { PIECES, type DemoPiece } from './manifest'
import { svgOf } from './scenes/svg'

/** Paints a piece: a PNG, the same for the same piece every time. */
export async function paintPiece(piece: DemoPiece): Promise<Buffer> {
  const { data, info } = await sharp(Buffer.from(svgOf(piece.scene())))
    .ensureAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true })
  const { width, height } = info
  const painted = paint(
    { width, height, data: new Uint8ClampedArray(data) },
    { ...OIL, seed: 101 + PIECES.indexOf(piece) }
  )
  const file = sharp(painted.data, { raw: { width, height, channels: 4 } })
  if (piece.photographed) return photographed(await file.removeAlpha().png().toBuffer(), piece.photographed)
  const opaque = !piece.faults.some(f => f.kind === 'transparent')
  return (opaque ? file.removeAlpha() : file).png({ compressionLevel: 6 }).toBuffer()
}

/** The sheet turned before the camera, its edges just out of sight. */
async function photographed(
  painted: Buffer,
  { turn, lost, light }: NonNullable<DemoPiece['photographed']>
): Promise<Buffer> {
  const { width, height } = await sharp(painted).metadata(),
    turned = await sharp(painted).rotate(turn, { background: '#8f8c86' }).toBuffer({ resolveWithObject: true })
  const across = Math.round(width * (1 - 2 * lost)),
    down = Math.round(height * (1 - 2 * lost))
  const left = Math.round((turned.info.width - across) / 2),
    top = Math.round((turned.info.height - down) / 2)
  return sharp(turned.data)
    .extract({ left, top, width: across, height: down })
    .gamma(2.2)
    .linear(light)
    .png({ compressionLevel: 6 })
    .toBuffer()
}

const CACHE = join(import.meta.dirname, '../.cache/demo')
/** Everything that decides what a picture looks like; a change of it paints anew. */
const SOURCES = [
  'painter.ts',
  'render.ts',
  'manifest.ts',
  'scenes/svg.ts',
  'scenes/harbour.ts',
  'scenes/studio.ts',
  'scenes/moorings.ts',
  'scenes/lightship.ts',
  'versions.ts',
  'exercises.ts',
  'letters.ts',
  '../core/picture/blur.ts'
]

/** A killed process leaves no half picture behind. */
async function keep(file: string, painted: Buffer): Promise<void> {
  await mkdir(CACHE, { recursive: true })
  await writeFile(`${file}.part`, painted)
  await rename(`${file}.part`, file)
}

/** A piece's file, painted once a machine: painting takes seconds, and the tests need the same pictures as the demo. */
export async function renderPiece(piece: DemoPiece): Promise<Buffer> {
  const hash = createHash('sha256').update(piece.key)
  for (const source of SOURCES) hash.update(await readFile(join(import.meta.dirname, source)))
  const file = join(CACHE, `${piece.key}-${hash.digest('hex').slice(0, 16)}.png`)
  const kept = await readFile(file).catch(() => null)
  if (kept) return kept
  const painted = await paintPiece(piece)
  await keep(file, painted).catch(() => {}) // whoever may not write here paints again
  return painted
}

/** What a study was made from: the same place, not painted but seen. Null for a piece of its own. */
export async function renderReference({ reference }: DemoPiece): Promise<Buffer | null> {
  return reference
    ? sharp(Buffer.from(svgOf(reference())))
        .blur(1.2)
        .removeAlpha()
        .png()
        .toBuffer()
    : null
}
