/** Making the critique sheet: pictures from the stored display size, then the PDF. */
import pdfmake from 'pdfmake'
import sharp from 'sharp'
import { coarsen } from '../../../core/picture/distribution'
import { planesOf } from '../../../core/picture/planes'
import type { Raster } from '../../../core/picture/raster'
import { applyTrials } from '../../../core/trial/apply'
import type { Trial } from '../../../core/trial/trial'
import type { Area } from '../../../core/picture/area'
import type { Report } from '../../../core/measure/report'
import { sheetDocument, type Paper, type SheetWords } from './document'
import { fontsIn } from './fonts'

export interface SheetRequest {
  readonly words: SheetWords
  readonly report: Report
  readonly trials: readonly { readonly trial: Trial; readonly area: Area | null }[]
  readonly paper: Paper
}

const BINS = 50
const dataUrl = async ({ width, height, data }: Raster): Promise<string> =>
  `data:image/jpeg;base64,${(
    await sharp(data, { raw: { width, height, channels: 4 } })
      .flatten({ background: '#ffffff' })
      .jpeg({ quality: 90, chromaSubsampling: '4:4:4' })
      .toBuffer()
  ).toString('base64')}`

/** @param raster the display size. @param fonts folder of the font files. */
export async function makeSheet(
  { words, report, trials, paper }: SheetRequest,
  raster: Raster,
  fonts: string
): Promise<Buffer> {
  const { width, height } = raster
  const pictures = {
    width,
    height,
    report,
    picture: await dataUrl(raster),
    after: trials.length ? await dataUrl(applyTrials(trials, raster)) : null,
    counts: [...coarsen(planesOf(raster).values, 100, BINS).counts]
  }
  pdfmake.setFonts(fontsIn(fonts))
  // The sheet refers to nothing: no address is fetched, no file read but its fonts.
  pdfmake.setUrlAccessPolicy(() => false)
  pdfmake.setLocalAccessPolicy(path => path.startsWith(fonts))
  return Buffer.from(await pdfmake.createPdf(sheetDocument(words, pictures, paper)).getBuffer())
}
