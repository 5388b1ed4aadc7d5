/** Whether a file is a PDF: apart from reading one, so that the server itself brings no reader along. */
import { open } from 'node:fs/promises'

const SIGNATURE = '%PDF-'

/** By its first bytes, whatever it is called. */
export async function isPdf(file: string): Promise<boolean> {
  const handle = await open(file)
  try {
    const { buffer, bytesRead } = await handle.read(Buffer.alloc(SIGNATURE.length), 0, SIGNATURE.length, 0)
    return buffer.toString('latin1', 0, bytesRead) === SIGNATURE
  } finally {
    await handle.close()
  }
}
