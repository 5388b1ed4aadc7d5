/** Bytes that go out as they are read; who has gone away is read to no more. */
import { once } from 'node:events'
import { createReadStream } from 'node:fs'
import type { Readable } from 'node:stream'
import { setResponseHeader, type H3Event } from 'h3'
import { dropScratch } from '../scratch'

/**
 * Read only as fast as it is taken. What cannot be read is said beforehand. @param size in bytes, where it is known.
 */
export async function streamed(event: H3Event, bytes: Readable, size?: number): Promise<Readable> {
  event.node.res.once('close', () => bytes.destroy())
  await once(bytes, 'readable')
  if (size !== undefined) setResponseHeader(event, 'content-length', size)
  return bytes
}

/** A scratch file, dropped once it is sent, or nobody takes it any more. */
export function sentScratch(event: H3Event, file: string): Promise<Readable> {
  const bytes = createReadStream(file)
  bytes.once('close', () => void dropScratch(file))
  return streamed(event, bytes)
}
