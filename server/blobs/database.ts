/** The usual place: the database, in parts of at most 1 MB, each a statement of its own. */
import { open } from 'node:fs/promises'
import { deletePart, findPart, insertPart } from '../db/pieces/blobs'
import { db } from '../db/pool'
import type { Place, Source } from './place'

/** So large a change still travels between the servers of a cluster without holding it up. */
const PART_BYTES = 1_000_000

async function* partsOf({ from, size }: Source): AsyncIterable<Buffer> {
  if (typeof from !== 'string') {
    for (let at = 0; at < size; at += PART_BYTES) yield from.subarray(at, at + PART_BYTES)
    return
  }
  const file = await open(from)
  try {
    for (let at = 0; at < size; at += PART_BYTES) {
      const part = Buffer.alloc(Math.min(PART_BYTES, size - at)),
        { bytesRead } = await file.read(part, 0, part.length, at)
      if (bytesRead < part.length) throw new Error('a file ended before its bytes did')
      yield part
    }
  } finally {
    await file.close()
  }
}

export const inDatabase: Place = {
  async write(key, source) {
    let part = 0
    for await (const bytes of partsOf(source)) await insertPart(db(), key, { part: part++, bytes })
  },
  async *read(key, start, end) {
    for (let part = Math.floor(start / PART_BYTES); part * PART_BYTES < end; part++) {
      const bytes = await findPart(db(), key, part),
        at = part * PART_BYTES
      yield bytes.subarray(Math.max(0, start - at), Math.min(bytes.length, end - at))
    }
  },
  async remove(key) {
    while (await deletePart(db(), key));
  }
}
