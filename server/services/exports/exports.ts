/**
 * A piece in open formats, at once: its report, its palette, its readings as a table, and for those who may read the
 * critique its corrections as annotations.
 */
import Papa from 'papaparse'
import { AppError } from '../../../shared/errors'
import type { Correction, Critique } from '../../../shared/critique'
import type { Account } from '../../../shared/account'
import { EXPORTS, type ExportName } from '../../../shared/pieces/export'
import { tagOf } from '../../../core/critique/stations/table'
import type { Reading } from '../../../core/critique/reading'
import type { PieceReading } from '../../../core/critique/stations/piece'
import { roundTo } from '../../../core/numeric/round'
import type { LayeredCorrection } from '../../work/layers/layers'
import { describeTarget } from '../../../core/critique/target'
import { annotationPage } from '../../../core/export/annotations'
import { gimpPalette } from '../../../core/export/palette'
import { isMeasured, type Report } from '../../../core/measure/report'
import { listAnnotations } from '../../db/critique/corrections'
import { db } from '../../db/pool'
import type { Submission } from '../../../shared/pieces/submission'
import { visiblePiece, visibleSubmission } from '../access'
import { audit } from '../house/audit'
import { readCritique } from '../critique/critiques'
import { taughtBy } from '../house/classes'

export interface Exported {
  readonly mediaType: string
  readonly fileName: string
  readonly text: string
}

const plainName = (title: string): string =>
  title
    .normalize('NFKD')
    .replace(/[^\w]+/g, '-')
    .replace(/^-|-$/g, '')
    .toLowerCase() || 'piece'
export const exportFileName = (title: string, name: string): string => `${plainName(title)}-${name}`

/** What a piece's picture is called in annotations. */
export const pictureName = (origin: string, submissionId: number): string =>
  `${origin}/api/submissions/${submissionId}/picture/full`

/** Corrections as layers of a picture. */
export const layeredCorrections = ({ corrections }: Critique): LayeredCorrection[] =>
  corrections.map(c => ({ name: `${tagOf(c)} ${c.what}`.slice(0, 120), area: c.area, mark: c.mark, trial: c.trial }))

/** Readings as a table any spreadsheet opens; a cell that looks like a formula is kept from being one. */
function readingsTable(readings: readonly Reading[]): string {
  return (
    Papa.unparse(
      readings.map(r => ({
        station: r.station,
        reading: r.id,
        verdict: r.verdict,
        sentence: r.sentence,
        figure: r.figure ? roundTo(r.figure.value, 3) : '',
        standard: r.figure ? roundTo(r.figure.standard, 3) : '',
        unit: r.figure?.unit ?? ''
      })),
      { escapeFormulae: true }
    ) + '\r\n'
  )
}

/** What a measured piece is written from. */
interface Measured {
  readonly submission: Submission
  readonly report: Report
}

async function measuredPiece(account: Account, id: number): Promise<Measured> {
  const submission = await visibleSubmission(account, id)
  if (submission.measurement.state !== 'done') throw new AppError('invalid', 'This piece is not measured yet.')
  return { submission, report: submission.measurement.report as Report }
}

/** The reading a correction came from: of its own area, where several are of one kind. */
function readingOf({ readingId, area }: Correction, readings: readonly PieceReading[]): PieceReading | null {
  const kind = readings.filter(r => r.id === readingId)
  return kind.find(r => JSON.stringify(r.area) === JSON.stringify(area)) ?? kind[0] ?? null
}

async function annotations(account: Account, id: number, origin: string): Promise<string> {
  const piece = await visiblePiece(account, id),
    { corrections, releasedAt, readings } = await readCritique(account, id),
    foreign = await listAnnotations(db(), id)
  const page = annotationPage(
    corrections.map(c => ({
      ...c,
      tag: tagOf(c),
      reading: readingOf(c, readings),
      targetWords: c.target && describeTarget(c.target),
      foreign: foreign.get(c.id) ?? null
    })),
    {
      picture: pictureName(origin, id),
      title: piece.title,
      width: piece.width,
      height: piece.height,
      creator: await taughtBy(piece.classId),
      created: releasedAt ?? piece.handedInAt
    }
  )
  return JSON.stringify(page, null, 2)
}

async function table(account: Account, id: number): Promise<string> {
  await measuredPiece(account, id)
  return readingsTable((await readCritique(account, id)).readings)
}

async function palette(account: Account, id: number): Promise<string> {
  const { submission, report } = await measuredPiece(account, id)
  if (!isMeasured(report.harmony))
    throw new AppError('invalid', 'This picture has no palette: nothing of it could be measured.')
  return gimpPalette(submission.title, report.harmony.palette)
}

/** Each name with what is written under it. */
const WRITTEN: Readonly<Record<ExportName, (account: Account, id: number, origin: string) => Promise<string>>> = {
  'report.json': async (account, id) => JSON.stringify((await measuredPiece(account, id)).report, null, 2),
  'palette.gpl': palette,
  'readings.csv': table,
  'annotations.json': annotations
}

/** An export that is asked for. @property origin where the application is reached, for the annotations' identifiers. */
interface Asked {
  readonly id: number
  readonly name: ExportName
  readonly origin: string
}

/** As it goes into a record, which is noted as a whole. @throws AppError while the piece is not measured. */
export async function writePiece(account: Account, { id, name, origin }: Asked): Promise<Exported> {
  const { title } = await visiblePiece(account, id)
  return {
    mediaType: EXPORTS[name].mediaType,
    fileName: exportFileName(title, name),
    text: await WRITTEN[name](account, id, origin)
  }
}

/** Written for whoever asked, and noted. @throws AppError while the piece is not measured. */
export async function exportPiece(account: Account, asked: Asked): Promise<Exported> {
  const written = await writePiece(account, asked)
  await audit(db(), { action: 'exported', actorId: account.id, submissionId: asked.id, detail: asked.name })
  return written
}
