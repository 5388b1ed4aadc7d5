/** A kept picture, sent to who may see it: a browser may keep it, and asks each time whether it may still show it. */
import { getRequestHeader, setResponseHeader, setResponseStatus, type H3Event } from 'h3'
import { parse } from 'range-parser'
import { pictureBytes } from '../services/pieces/pictures'

/** @param sha256 by which its bytes are kept. */
export async function sendPicture(event: H3Event, sha256: string): Promise<Buffer | null> {
  const etag = `"${sha256}"`
  setResponseHeader(event, 'etag', etag)
  setResponseHeader(event, 'cache-control', 'private, no-cache')
  if (getRequestHeader(event, 'if-none-match') === etag) {
    setResponseStatus(event, 304)
    return null
  }
  const { mediaType, bytes } = await pictureBytes(sha256)
  setResponseHeader(event, 'content-type', mediaType)
  return partOf(event, bytes, etag)
}

/** What the parser says of a header that says nothing: it is as good as none. */
const MALFORMED = 1

/**
 * The part that was asked for (RFC 9110, 14): what broke off goes on where it was. Several parts at once nobody needs:
 * then all of it comes.
 */
function partOf(event: H3Event, bytes: Buffer, etag: string): Buffer {
  setResponseHeader(event, 'accept-ranges', 'bytes')
  const asked = getRequestHeader(event, 'range')
  if (!asked || (getRequestHeader(event, 'if-range') ?? etag) !== etag) return bytes
  const { code, type, ranges } = parse(bytes.length, asked)
  if (type !== 'bytes' || code & MALFORMED || ranges.length > 1) return bytes
  const [part] = ranges
  if (!part) {
    setResponseStatus(event, 416)
    setResponseHeader(event, 'content-range', `bytes */${bytes.length}`)
    return Buffer.alloc(0)
  }
  setResponseStatus(event, 206)
  setResponseHeader(event, 'content-range', `bytes ${part.start}-${part.end}/${bytes.length}`)
  return bytes.subarray(part.start, part.end + 1)
}
