/** A kept picture, sent to who may see it: a browser may keep it, and asks each time whether it may still show it. */
import { getRequestHeader, setResponseHeader, setResponseStatus, type H3Event } from 'h3'
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
  return bytes
}
