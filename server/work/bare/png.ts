/** A PNG's chunks that say how it looks, without those that say anything else (W3C PNG, third edition, 11). */
import { crc32 } from 'node:zlib'
import { orientationExif } from './exif'

const KEPT = new Set('IHDR PLTE tRNS IDAT IEND iCCP sRGB gAMA cHRM cICP mDCV cLLI sBIT bKGD pHYs'.split(' '))

function chunk(name: string, data: Uint8Array): Uint8Array {
  const whole = Buffer.alloc(12 + data.length)
  whole.writeUInt32BE(data.length, 0)
  whole.write(name, 4, 'latin1')
  whole.set(data, 8)
  whole.writeUInt32BE(crc32(whole.subarray(4, 8 + data.length)), 8 + data.length)
  return whole
}

/** @returns the same compressed picture; what stands behind its end is left out. */
export function barePng(bytes: Uint8Array, orientation: number): Uint8Array[] {
  const view = Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength),
    parts: Uint8Array[] = [bytes.subarray(0, 8)]
  for (let at = 8; at + 12 <= view.length;) {
    const end = at + 12 + view.readUInt32BE(at),
      name = view.toString('latin1', at + 4, at + 8)
    if (end > view.length) break
    if (KEPT.has(name)) parts.push(bytes.subarray(at, end))
    if (name === 'IHDR' && orientation !== 1) parts.push(chunk('eXIf', orientationExif(orientation)))
    if (name === 'IEND') break
    at = end
  }
  return parts
}
