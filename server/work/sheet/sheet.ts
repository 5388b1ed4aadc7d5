/** Making the critique sheet: pictures from the stored display size, then the PDF. */
import sharp from 'sharp'
import { coarsen } from '../../../core/picture/distribution'
import { planesOf } from '../../../core/picture/planes'
import type { Raster } from '../../../core/picture/raster'
import { applyTrials } from '../../../core/trial/apply'
import type { Trial } from '../../../core/trial/trial'
import type { Area } from '../../../core/picture/area'
import type { Finding } from '../../../core/critique/findings'
import { renderLens } from '../../../core/lens/lens'
import type { Report } from '../../../core/measure/report'
import { writePdf } from '../pdf'
import { sheetDocument, type Paper, type SheetWords } from './document'

export interface SheetRequest {
  readonly words: SheetWords
  readonly report: Report
  readonly trials: readonly { readonly trial: Trial; readonly area: Area | null }[]
  /** What is shown small, through which lens, with the marks of which corrections. */
  readonly findings: readonly Finding[]
  readonly paper: Paper
}

const BINS = 50
/** Sharp enough for a third of a page. */
const SMALL = 640
/** @param most longest side in pixels; the raster's own without one. */
const dataUrl = async ({ width, height, data }: Raster, most = Infinity): Promise<string> =>
  `data:image/jpeg;base64,${(
    await sharp(data, { raw: { width, height, channels: 4 } })
      .resize({ width: Math.min(width, most), height: Math.min(height, most), fit: 'inside' })
      .flatten({ background: '#ffffff' })
      .jpeg({ quality: 90, chromaSubsampling: '4:4:4' })
      .toBuffer()
  ).toString('base64')}`

/** @param raster the display size. @param fonts folder of the font files. */
export async function makeSheet(
  { words, report, trials, findings, paper }: SheetRequest,
  raster: Raster,
  fonts: string
): Promise<Buffer> {
  const { width, height } = raster,
    planes = planesOf(raster)
  const through = async ({ lens, label, corrections }: Finding) => {
    const out = new Uint8ClampedArray(raster.data.length)
    renderLens(lens, { raster, planes, out })
    return { picture: await dataUrl({ width, height, data: out }, SMALL), label, corrections }
  }
  const pictures = {
    width,
    height,
    report,
    picture: await dataUrl(raster),
    after: trials.length ? await dataUrl(applyTrials(trials, raster)) : null,
    findings: await Promise.all(findings.map(through)),
    counts: [...coarsen(planes.values, 100, BINS).counts]
  }
  return writePdf(sheetDocument(words, pictures, paper), fonts)
}
