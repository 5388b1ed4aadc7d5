/**
 * A folder that mail is put into: maildir (D. J. Bernstein, "Using maildir format", 1995), as mail servers deliver into
 * it. What was read is moved from `new` to `cur`.
 */
import { createReadStream, createWriteStream } from 'node:fs'
import { mkdir, readdir, rename, stat } from 'node:fs/promises'
import { join } from 'node:path'
import { pipeline } from 'node:stream/promises'
import { LETTER_HEAD_BYTES } from '../../../../shared/letter'
import type { Mailbox } from './mailbox'

/** Flag S: seen. */
const SEEN = ':2,S'

export async function openMaildir(folder: string): Promise<Mailbox> {
  for (const part of ['tmp', 'new', 'cur']) await mkdir(join(folder, part), { recursive: true })
  return {
    async list() {
      // The name begins with the time that it came at.
      const names = (await readdir(join(folder, 'new'))).filter(name => !name.startsWith('.')).sort()
      return Promise.all(names.map(async id => ({ id, bytes: (await stat(join(folder, 'new', id))).size })))
    },
    bring: ({ id, bytes }, file, most) =>
      pipeline(
        createReadStream(join(folder, 'new', id), { end: (bytes > most ? LETTER_HEAD_BYTES : most) - 1 }),
        createWriteStream(file, { mode: 0o600 })
      ),
    done: ({ id }) => rename(join(folder, 'new', id), join(folder, 'cur', `${id.split(':')[0]}${SEEN}`)),
    close: async () => {}
  }
}
