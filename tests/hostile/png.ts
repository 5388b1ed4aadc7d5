/**
 * PNG files written by hand, so that they can say what is not so (W3C Portable Network Graphics, 2nd edition, sections
 * 5 and 11).
 */
import { crc32 } from 'node:zlib'

export interface PngHead {
  readonly width: number
  readonly height: number
  readonly depth: number
  readonly colour: number
}

function chunk(type: string, data: Buffer): Buffer {
  const body = Buffer.concat([Buffer.from(type), data]),
    out = Buffer.alloc(body.length + 8)
  out.writeUInt32BE(data.length)
  body.copy(out, 4)
  out.writeUInt32BE(crc32(body), body.length + 4)
  return out
}

/** @param packed rows of pixels, compressed by zlib; not necessarily as many as the head promises. */
export function pngOf({ width, height, depth, colour }: PngHead, packed: Buffer): Buffer {
  const head = Buffer.alloc(13)
  head.writeUInt32BE(width, 0)
  head.writeUInt32BE(height, 4)
  head.set([depth, colour, 0, 0, 0], 8)
  return Buffer.concat([
    Buffer.from([137, 80, 78, 71, 13, 10, 26, 10]),
    chunk('IHDR', head),
    chunk('IDAT', packed),
    chunk('IEND', Buffer.alloc(0))
  ])
}
