/** A piece in open formats: its report, its palette, and for those who may read the critique its corrections as annotations. */
import { AppError } from '../../shared/errors'
import type { Account } from '../../shared/account'
import { STATION_LETTER } from '../../core/critique/reading'
import { describeTarget } from '../../core/critique/target'
import { annotationPage } from '../../core/export/annotations'
import { gimpPalette } from '../../core/export/palette'
import { isMeasured, type Report } from '../../core/measure/report'
import { instructorName } from '../db/classes'
import { db } from '../db/pool'
import { visibleSubmission } from './access'
import { readCritique } from './critiques'

export const EXPORTS = ['report.json', 'palette.gpl', 'annotations.json'] as const
export type ExportName = typeof EXPORTS[number]
export interface Exported { readonly mediaType: string, readonly fileName: string, readonly text: string }

const plainName = (title: string): string => title.normalize('NFKD').replace(/[^\w]+/g, '-').replace(/^-|-$/g, '').toLowerCase() || 'piece'

/** @param origin where the application is reached, for the annotations' identifiers. @throws AppError while the piece is not measured. */
export async function exportPiece(account: Account, submissionId: number, name: ExportName, origin: string): Promise<Exported> {
  const submission = await visibleSubmission(account, submissionId)
  const fileName = `${plainName(submission.title)}-${name}`
  if (name === 'annotations.json') {
    const { corrections, releasedAt } = await readCritique(account, submissionId)
    const page = annotationPage(
      corrections.map(c => ({ tag: `${STATION_LETTER[c.station]}${c.order}`, area: c.area, what: c.what, reason: c.reason, todo: c.todo, target: c.target && describeTarget(c.target) })),
      { picture: `${origin}/api/submissions/${submissionId}/picture/full`, title: submission.title, width: submission.width, height: submission.height,
        creator: await instructorName(db(), submission.classId), created: releasedAt ?? submission.handedInAt })
    return { mediaType: 'application/ld+json', fileName, text: JSON.stringify(page, null, 2) }
  }
  if (submission.measurement.state !== 'done') throw new AppError('invalid', 'This piece is not measured yet.')
  const report = submission.measurement.report as Report
  if (name === 'report.json') return { mediaType: 'application/json', fileName, text: JSON.stringify(report, null, 2) }
  if (!isMeasured(report.harmony)) throw new AppError('invalid', 'This picture has no palette: nothing of it could be measured.')
  return { mediaType: 'text/plain; charset=utf-8', fileName, text: gimpPalette(submission.title, report.harmony.palette) }
}
