/** A kept picture, sent to who may see it: a browser may keep it, and asks each time whether it may still show it. */
import type { Readable } from 'node:stream'
import { getRequestHeader, setResponseHeader, setResponseStatus, type H3Event } from 'h3'
import { parse } from 'range-parser'
import { streamOf } from '../blobs/blobs'
import { keptPicture } from '../services/pieces/pictures'
import { streamed } from './stream'

/** @param sha256 by which its bytes are kept. */
export async function sendPicture(event: H3Event, sha256: string): Promise<Readable | '' | null> {
  const etag = `"${sha256}"`
  setResponseHeader(event, 'etag', etag)
  setResponseHeader(event, 'cache-control', 'private, no-cache')
  if (getRequestHeader(event, 'if-none-match') === etag) {
    setResponseStatus(event, 304)
    return null
  }
  const blob = await keptPicture(sha256)
  setResponseHeader(event, 'content-type', blob.mediaType)
  setResponseHeader(event, 'accept-ranges', 'bytes')
  const part = partOf(event, blob.size, etag)
  return part === null ? '' : streamed(event, streamOf(blob, part), part.end - part.start)
}

interface Part {
  /** The first byte, and the one after the last. */
  readonly start: number
  readonly end: number
}

/** What the parser says of a header that says nothing: it is as good as none. */
const MALFORMED = 1

/**
 * The part that was asked for (RFC 9110, 14): what broke off goes on where it was. Several parts at once nobody needs:
 * then all of it comes. @returns null where there is no such part.
 */
function partOf(event: H3Event, size: number, etag: string): Part | null {
  const whole = { start: 0, end: size },
    asked = getRequestHeader(event, 'range')
  if (!asked || (getRequestHeader(event, 'if-range') ?? etag) !== etag) return whole
  const { code, type, ranges } = parse(size, asked)
  if (type !== 'bytes' || code & MALFORMED || ranges.length > 1) return whole
  const [part] = ranges
  if (!part) {
    setResponseStatus(event, 416)
    setResponseHeader(event, 'content-range', `bytes */${size}`)
    return null
  }
  setResponseStatus(event, 206)
  setResponseHeader(event, 'content-range', `bytes ${part.start}-${part.end}/${size}`)
  return { start: part.start, end: part.end + 1 }
}
