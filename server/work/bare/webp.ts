/** A WebP's chunks that hold the picture and its profile (Google, WebP Container Specification; RFC 9649). */
import { orientationExif } from './exif'

const KEPT = new Set(['VP8X', 'ICCP', 'ALPH', 'VP8 ', 'VP8L', 'ANIM', 'ANMF'])
const EXIF_FLAG = 0x08,
  XMP_FLAG = 0x04

function chunk(name: string, data: Uint8Array): Uint8Array {
  const whole = Buffer.alloc(8 + data.length + (data.length % 2))
  whole.write(name, 0, 'latin1')
  whole.writeUInt32LE(data.length, 4)
  whole.set(data, 8)
  return whole
}

/** @param orientation of a picture that is turned: it has a VP8X chunk, or it could not have said so. */
export function bareWebp(bytes: Uint8Array, orientation: number): Uint8Array[] {
  const view = Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength),
    end = Math.min(view.length, 8 + view.readUInt32LE(4)),
    parts: Uint8Array[] = []
  for (let at = 12; at + 8 <= end;) {
    const size = view.readUInt32LE(at + 4),
      next = at + 8 + size + (size % 2),
      name = view.toString('latin1', at, at + 4)
    if (KEPT.has(name)) {
      const part = Buffer.from(view.subarray(at, Math.min(next, end)))
      if (name === 'VP8X') part[8] = (part[8]! & ~(EXIF_FLAG | XMP_FLAG)) | (orientation === 1 ? 0 : EXIF_FLAG)
      parts.push(part)
    }
    at = next
  }
  if (orientation !== 1) parts.push(chunk('EXIF', orientationExif(orientation)))
  const header = Buffer.from(view.subarray(0, 12))
  header.writeUInt32LE(4 + parts.reduce((sum, { length }) => sum + length, 0), 4)
  return [header, ...parts]
}
