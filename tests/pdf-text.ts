/** What a PDF says, by a reader that is not ours. */
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs'

/** @returns the words of all pages, a space between runs. */
export async function pdfText(bytes: Uint8Array): Promise<string> {
  // The reader takes what it is given: a copy.
  const document = await getDocument({ data: new Uint8Array(bytes), verbosity: 0 }).promise
  const pages = await Promise.all(
    Array.from(
      { length: document.numPages },
      async (_, i) => (await (await document.getPage(i + 1)).getTextContent()).items
    )
  )
  return pages
    .flat()
    .map(item => ('str' in item ? item.str : ''))
    .join(' ')
    .replace(/\s+/g, ' ')
}
