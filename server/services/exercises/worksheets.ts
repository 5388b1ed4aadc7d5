/** Printed worksheets, and filled ones that come back as photographs. */
import { stat } from 'node:fs/promises'
import type { ExerciseKey } from '../../../core/exercise'
import { PLAIN_SETTINGS } from '../../../core/exercise'
import type { SheetOutcome } from '../../../core/exercise/reader/read'
import type { Point } from '../../../core/exercise/reader/homography'
import { worksheetOf } from '../../../core/exercise/worksheet/layout'
import { worksheetSvg } from '../../../core/exercise/worksheet/svg'
import type { Paper } from '../../../core/exercise/worksheet/worksheet'
import type { Account } from '../../../shared/account'
import type { Assignment } from '../../../shared/assignment'
import { AppError } from '../../../shared/errors'
import { PICTURE_LIMITS } from '../../../shared/submission'
import type { KeptSheet, SheetsTaken } from '../../../shared/worksheet'
import * as answers from '../../db/answers'
import { findAssignment, listAssignmentsOfSet } from '../../db/assignments'
import { insertBlob } from '../../db/pictures'
import { db, transaction } from '../../db/pool'
import { printWorksheets, readSheetPhoto } from '../../work/workers'
import { PRINTING } from '../../work/worksheet/libraries'
import type { WorksheetAsked } from '../../work/worksheet/print'
import { assignmentTo, setTo, visibleAssignment } from '../access'
import { blobsOf, keepPicture, takeApart, type Sizes } from '../pieces/handing-in'

interface Printed {
  readonly as: 'pdf' | 'svg'
  readonly paper: Paper
  readonly answers: boolean
}
export interface File {
  readonly mediaType: string
  readonly body: string | Buffer
}

const sheetFor = ({ id, exercise, own, settings, learner, plan }: Assignment, paper: Paper): WorksheetAsked => ({
  exercise,
  own,
  // A learner who chose prints a sheet of what they chose.
  settings: { ...settings, hue: settings.hue ?? plan?.hue ?? null },
  paper,
  number: id,
  name: learner.name
})

async function filed(sheets: readonly WorksheetAsked[], { as, answers }: Printed, who: string): Promise<File> {
  if (as === 'svg')
    return { mediaType: 'image/svg+xml', body: worksheetSvg(worksheetOf(sheets[0]!), PRINTING, answers) }
  return { mediaType: 'application/pdf', body: Buffer.from(await printWorksheets({ sheets, answers }, who)) }
}

/** A learner's own; the key with its answers is for who teaches. @throws AppError not-found, not-allowed. */
export async function worksheetFor(account: Account, id: number, printed: Printed): Promise<File> {
  const assignment = await visibleAssignment(account, id)
  if (printed.answers) await assignmentTo('release', account, id)
  return filed([sheetFor(assignment, printed.paper)], printed, `${account.id}`)
}

/** One for each of a set, in one document. */
export async function worksheetsForSet(account: Account, setId: number, printed: Printed): Promise<File> {
  await setTo('look', account, setId)
  const all = (await listAssignmentsOfSet(db(), setId)).filter(a => !a.withdrawnAt)
  if (all.length === 0) throw new AppError('not-found', 'Nobody has this exercise any more.')
  return filed(
    all.map(a => sheetFor(a, printed.paper)),
    printed,
    `${account.id}`
  )
}

/** From the shelf, for nobody in particular. */
export const blankWorksheet = (account: Account, exercise: ExerciseKey, printed: Printed): Promise<File> =>
  filed([{ exercise, settings: PLAIN_SETTINGS, paper: printed.paper }], printed, `${account.id}`)

/** A photograph is kept with each sheet that was read off it. */
async function keepSheet(
  photo: Sizes,
  assignmentId: number,
  sheet: Parameters<typeof answers.insertReadSheet>[1]['sheet']
): Promise<void> {
  const blobs = (await blobsOf(photo)).sort((a, b) => (a.sha256 < b.sha256 ? -1 : 1))
  await transaction(async connection => {
    for (const blob of blobs) await insertBlob(connection, blob)
    const pictureId = await keepPicture(connection, photo)
    await answers.insertReadSheet(connection, { assignmentId, pictureId, sheet })
  })
}

/** Whose a sheet is stands behind its number: the learner's own, or of a class that the sender helps to teach. */
async function takeSheet(account: Account, outcome: SheetOutcome, photo: Sizes): Promise<SheetsTaken[number]> {
  if (outcome.kind === 'unread') return { kind: 'refused', reason: outcome.reason }
  const { code, boxes, corners, doubts } = outcome.sheet
  const found = code.number === 0 ? null : await findAssignment(db(), { id: code.number, viewerId: account.id })
  const own = found?.known && found.assignment.learner.id === account.id,
    teaches = found?.role === 'instructor' || found?.role === 'assistant'
  if (!found || (!own && !teaches))
    return {
      kind: 'refused',
      reason:
        code.number === 0
          ? 'This sheet was printed from the shelf, for nobody in particular: print it from the exercise.'
          : 'This sheet belongs to an exercise that is not yours.'
    }
  if (found.assignment.exercise !== code.exercise)
    return { kind: 'refused', reason: 'This sheet was printed before the exercise was changed.' }
  await keepSheet(photo, found.assignment.id, { boxes: [...boxes], corners: [...corners], doubts: [...doubts] })
  return {
    kind: 'kept',
    assignmentId: found.assignment.id,
    learner: found.assignment.learner.name,
    right: boxes.filter(b => b.verdict === 'right').length,
    of: boxes.length
  }
}

/**
 * @param corners set by hand, fractions of the photograph. @throws AppError in the sender's words when there is no
 * sheet.
 */
export async function takeSheets(
  account: Account,
  { file, corners }: { readonly file: string; readonly corners: readonly Point[] | null }
): Promise<SheetsTaken> {
  if ((await stat(file)).size > PICTURE_LIMITS.bytes)
    throw new AppError('too-large', 'The photograph is larger than 25 MB.')
  const who = `${account.id}`,
    photo = await takeApart(file, 'The photograph', who)
  const outcomes = await readSheetPhoto({ file, corners }, who)
  if (outcomes.length === 0)
    throw new AppError(
      'not-a-picture',
      'No worksheet is found in this photograph. All four corner marks must be seen, and lie flat; or set the corners by hand.'
    )
  const taken: SheetsTaken = []
  for (const outcome of outcomes) taken.push(await takeSheet(account, outcome, photo))
  return taken
}

export async function sheetsOf(account: Account, id: number): Promise<KeptSheet[]> {
  await visibleAssignment(account, id)
  return answers.listReadSheets(db(), id)
}

export async function sheetPicture(account: Account, id: number, sheetId: number): Promise<string> {
  await visibleAssignment(account, id)
  const found = await answers.findAnswerPicture(db(), 'read_sheets', { id: sheetId, assignmentId: id })
  if (!found) throw new AppError('not-found', 'There is no such sheet.')
  return found
}

/** @throws AppError not-found; already-released once it is confirmed. */
async function open(
  connection: Parameters<typeof answers.findReadSheet>[0],
  id: number,
  sheetId: number
): Promise<KeptSheet> {
  const sheet = await answers.findReadSheet(connection, id, sheetId)
  if (!sheet) throw new AppError('not-found', 'There is no such sheet.')
  if (sheet.confirmedAt) throw new AppError('already-released', 'This sheet is confirmed already.')
  return sheet
}

/** A learner's word against one box; an empty one takes it back. */
export async function disputeBox(
  account: Account,
  id: number,
  { sheetId, box, word }: { readonly sheetId: number; readonly box: string; readonly word: string }
): Promise<void> {
  const { learner } = await visibleAssignment(account, id)
  if (learner.id !== account.id) throw new AppError('not-allowed', 'This is for the learner whose sheet it is.')
  await transaction(async connection => {
    const { sheet, disputes } = await open(connection, id, sheetId)
    if (!sheet.boxes.some(b => b.name === box)) throw new AppError('not-found', 'There is no such box.')
    const others = disputes.filter(d => d.box !== box)
    await answers.updateDisputes(connection, sheetId, word ? [...others, { box, word }] : others)
  })
}

/** The instructor's word: this is how the sheet stands. */
export async function confirmSheet(
  account: Account,
  id: number,
  { sheetId, now }: { readonly sheetId: number; readonly now: Date }
): Promise<void> {
  await assignmentTo('release', account, id)
  await transaction(async connection => {
    await open(connection, id, sheetId)
    await answers.markSheetConfirmed(connection, sheetId, now)
  })
}
