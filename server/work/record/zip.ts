/** A record packed as a zip, file after file. Pictures are packed already and texts are short: nothing is squeezed. */
import { createWriteStream } from 'node:fs'
import { readFile } from 'node:fs/promises'
import { once } from 'node:events'
import { Zip, ZipPassThrough } from 'fflate'

/** @property name within the zip. @property file that holds it, or its text. */
export interface RecordPart {
  readonly name: string
  readonly content: { readonly file: string } | { readonly text: string }
}
export interface RecordRequest {
  readonly parts: readonly RecordPart[]
  /** Where the zip is written. */
  readonly file: string
}

export async function packRecord({ parts, file }: RecordRequest): Promise<void> {
  const out = createWriteStream(file)
  let failed: Error | null = null
  const zip = new Zip((error, chunk, last) => {
    if (error) failed = error
    else out.write(chunk)
    if (last) out.end()
  })
  for (const { name, content } of parts) {
    const entry = new ZipPassThrough(name)
    zip.add(entry)
    entry.push('file' in content ? await readFile(content.file) : Buffer.from(content.text, 'utf8'), true)
    if (out.writableNeedDrain) await once(out, 'drain')
    if (failed) throw failed as Error
  }
  zip.end()
  await once(out, 'finish')
}
