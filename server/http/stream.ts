/** Bytes that go out as they are read; who has gone away is read to no more. */
import { createReadStream } from 'node:fs'
import type { Readable } from 'node:stream'
import { setResponseHeader, type H3Event } from 'h3'
import { dropScratch } from '../scratch'

/** Read only as fast as it is taken. */
export function streamed(event: H3Event, bytes: Readable): Readable {
  event.node.res.once('close', () => bytes.destroy())
  return bytes
}

/** A scratch file, dropped once it is sent, or nobody takes it any more. @param size in bytes, where it is known. */
export function sentScratch(event: H3Event, file: string, size?: number): Readable {
  if (size !== undefined) setResponseHeader(event, 'content-length', size)
  const bytes = createReadStream(file)
  bytes.once('close', () => void dropScratch(file))
  return streamed(event, bytes)
}
