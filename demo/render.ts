/** A demo scene as a finished picture file. */
import sharp from 'sharp'
import { OIL, paint } from './painter'
import { PIECES, type DemoPiece } from './manifest'
import { svgOf } from './scenes/svg'

/** @returns a PNG, the same for the same piece every time. */
export async function renderPiece(piece: DemoPiece): Promise<Buffer> {
  const { data, info } = await sharp(Buffer.from(svgOf(piece.scene()))).ensureAlpha().raw().toBuffer({ resolveWithObject: true })
  const { width, height } = info
  const painted = paint({ width, height, data: new Uint8ClampedArray(data) }, { ...OIL, seed: 101 + PIECES.indexOf(piece) })
  const file = sharp(painted.data, { raw: { width, height, channels: 4 } })
  const opaque = !piece.faults.some(f => f.kind === 'transparent')
  return (opaque ? file.removeAlpha() : file).png({ compressionLevel: 6 }).toBuffer()
}
