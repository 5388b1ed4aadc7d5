/** A piece in open formats, at once: its report, its palette, its readings as a table, and for those who may read the critique its corrections as annotations. */
import Papa from 'papaparse'
import { AppError } from '../../shared/errors'
import type { Correction, Critique } from '../../shared/critique'
import type { Account } from '../../shared/account'
import { STATION_LETTER, type Reading } from '../../core/critique/reading'
import { roundTo } from '../../core/numeric/round'
import type { LayeredCorrection } from '../work/layers/layers'
import { describeTarget } from '../../core/critique/target'
import { annotationPage } from '../../core/export/annotations'
import { gimpPalette } from '../../core/export/palette'
import { isMeasured, type Report } from '../../core/measure/report'
import { instructorName } from '../db/classes'
import { listAnnotations } from '../db/corrections'
import { db } from '../db/pool'
import { visibleSubmission } from './access'
import { readCritique } from './critiques'

export const EXPORTS = ['report.json', 'palette.gpl', 'readings.csv', 'annotations.json'] as const
export type ExportName = typeof EXPORTS[number]
export interface Exported { readonly mediaType: string, readonly fileName: string, readonly text: string }

const plainName = (title: string): string => title.normalize('NFKD').replace(/[^\w]+/g, '-').replace(/^-|-$/g, '').toLowerCase() || 'piece'
export const exportFileName = (title: string, name: string): string => `${plainName(title)}-${name}`

/** What a piece's picture is called in annotations. */
export const pictureName = (origin: string, submissionId: number): string => `${origin}/api/submissions/${submissionId}/picture/full`

const tagOf = ({ station, order }: Pick<Correction, 'station' | 'order'>): string => `${STATION_LETTER[station]}${order}`

/** Corrections as layers of a picture. */
export const layeredCorrections = ({ corrections }: Critique): LayeredCorrection[] =>
  corrections.map(c => ({ name: `${tagOf(c)} ${c.what}`.slice(0, 120), area: c.area, mark: c.mark, trial: c.trial }))

/** Readings as a table any spreadsheet opens; a cell that looks like a formula is kept from being one. */
function readingsTable(readings: readonly Reading[]): string {
  return Papa.unparse(readings.map(r => ({
    station: r.station, reading: r.id, verdict: r.verdict, sentence: r.sentence, figure: r.figure ? roundTo(r.figure.value, 3) : '', standard: r.figure ? roundTo(r.figure.standard, 3) : ''
  })), { escapeFormulae: true }) + '\r\n'
}

/** @param origin where the application is reached, for the annotations' identifiers. @throws AppError while the piece is not measured. */
export async function exportPiece(account: Account, submissionId: number, name: ExportName, origin: string): Promise<Exported> {
  const submission = await visibleSubmission(account, submissionId)
  const fileName = exportFileName(submission.title, name)
  if (name === 'annotations.json') {
    const { corrections, releasedAt } = await readCritique(account, submissionId), foreign = await listAnnotations(db(), submissionId)
    const page = annotationPage(
      corrections.map(c => ({ ...c, tag: tagOf(c), targetWords: c.target && describeTarget(c.target), foreign: foreign.get(c.id) ?? null })),
      { picture: pictureName(origin, submissionId), title: submission.title, width: submission.width, height: submission.height,
        creator: await instructorName(db(), submission.classId), created: releasedAt ?? submission.handedInAt })
    return { mediaType: 'application/ld+json', fileName, text: JSON.stringify(page, null, 2) }
  }
  if (submission.measurement.state !== 'done') throw new AppError('invalid', 'This piece is not measured yet.')
  const report = submission.measurement.report as Report
  if (name === 'report.json') return { mediaType: 'application/json', fileName, text: JSON.stringify(report, null, 2) }
  if (name === 'readings.csv') return { mediaType: 'text/csv; charset=utf-8', fileName, text: readingsTable((await readCritique(account, submissionId)).readings) }
  if (!isMeasured(report.harmony)) throw new AppError('invalid', 'This picture has no palette: nothing of it could be measured.')
  return { mediaType: 'text/plain; charset=utf-8', fileName, text: gimpPalette(submission.title, report.harmony.palette) }
}
