/** A document written as PDF. It refers to nothing: no address is fetched, no file read but its fonts. */
import pdfmake from 'pdfmake'
import type { TDocumentDefinitions } from 'pdfmake/interfaces'
import { fontsIn } from './sheet/fonts'

/** @param fonts folder of the font files. */
export async function writePdf(document: TDocumentDefinitions, fonts: string): Promise<Buffer> {
  pdfmake.setFonts(fontsIn(fonts))
  pdfmake.setUrlAccessPolicy(() => false)
  pdfmake.setLocalAccessPolicy(path => path.startsWith(fonts))
  return Buffer.from(await pdfmake.createPdf(document).getBuffer())
}
