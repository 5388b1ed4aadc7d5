/** Filled worksheets that come back as photographs or scans: read, disputed, confirmed. */
import type { SheetOutcome } from '../../../core/exercise/reader/read'
import type { Point } from '../../../core/numeric/homography'
import type { Account } from '../../../shared/account'
import { AppError } from '../../../shared/errors'
import type { KeptSheet, SheetsTaken, SheetsTold } from '../../../shared/exercises/worksheet'
import * as answers from '../../db/exercises/answers'
import { findAssignment } from '../../db/exercises/assignments'
import { withBlobs } from '../../blobs/blobs'
import { changeOnce } from '../../db/once'
import { db, transaction, type Db } from '../../db/pool'
import { listPrintersAround } from '../../db/exercises/printers'
import { dropScratch } from '../../scratch'
import type { Progress } from '../../work/protocol'
import { readSheetPhoto, takeScanApart } from '../../work/workers'
import { isPdf } from '../../work/worksheet/is-pdf'
import { assignmentTo, visibleAssignment } from '../access'
import { blobsOf, keepPicture, takeApart, type Sizes } from '../pieces/handing-in'

/** A sheet was read off a photograph. @property part which it is of those that were sent together. */
interface Read {
  readonly outcome: SheetOutcome
  readonly photo: Sizes
  readonly part: string
}

/** A photograph is kept with each sheet that was read off it. */
async function keepSheet(
  { photo, part }: Read,
  assignmentId: number,
  sheet: Parameters<typeof answers.insertReadSheet>[1]['sheet']
): Promise<void> {
  const keep = async (connection: Db): Promise<number> => {
    const pictureId = await keepPicture(connection, photo)
    return answers.insertReadSheet(connection, { assignmentId, pictureId, sheet })
  }
  await withBlobs(await blobsOf(photo), keep, work => changeOnce(work, part))
}

/** Whose a sheet is stands behind its number: the learner's own, or of a class that the sender helps to teach. */
async function takeSheet(account: Account, read: Read): Promise<SheetsTaken[number]> {
  const { outcome } = read
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
  await keepSheet(read, found.assignment.id, { boxes: [...boxes], corners: [...corners], doubts: [...doubts] })
  return {
    kind: 'kept',
    assignmentId: found.assignment.id,
    learner: found.assignment.learner.name,
    right: boxes.filter(b => b.verdict === 'right').length,
    of: boxes.length
  }
}

/** Told while sheets are being read. */
export type TellSheets = (at: SheetsTold) => void

export interface SheetsSent {
  readonly file: string
  /** Set by hand, fractions of the photograph. */
  readonly corners: readonly Point[] | null
}

/** The sheets of one photograph. @returns null when there is none. */
async function takePhoto(
  account: Account,
  { file, corners, page = 0 }: SheetsSent & { readonly page?: number },
  progress: Progress
): Promise<SheetsTaken | null> {
  const who = `${account.id}`,
    photo = await takeApart(file, { what: 'The photograph', who })
  progress(0.4)
  const printers = await listPrintersAround(db(), account.id),
    outcomes = await readSheetPhoto({ file, corners, printers }, who)
  const taken: SheetsTaken = []
  for (const [i, outcome] of outcomes.entries())
    taken.push(await takeSheet(account, { outcome, photo, part: `${page} ${i}` }))
  return taken.length ? taken : null
}

/** The sheets of a scan, page by page; a page without one is said, and left out. */
async function takeScan(account: Account, file: string, tell: TellSheets): Promise<SheetsTaken | null> {
  const outcome = await takeScanApart({ file, into: `${file}-page` }, `${account.id}`, share =>
    tell({ page: null, share: 0.3 * share })
  )
  if (outcome.kind === 'refused') throw new AppError('not-a-picture', outcome.message)
  const { files } = outcome,
    taken: SheetsTaken = []
  try {
    for (const [i, page] of files.entries()) {
      const at = { page: i + 1, of: files.length }
      const found = await takePhoto(account, { file: page, corners: null, page: i + 1 }, share =>
        tell({ page: at, share: 0.3 + (0.7 * (i + share)) / files.length })
      )
      taken.push(...(found ?? [{ kind: 'refused' as const, reason: `No worksheet is found on page ${i + 1}.` }]))
    }
  } finally {
    await Promise.all(files.map(dropScratch))
  }
  return taken.some(t => t.kind === 'kept') || files.length > 1 ? taken : null
}

/** @throws AppError in the sender's words when there is no sheet. */
export async function takeSheets(account: Account, sent: SheetsSent, tell: TellSheets): Promise<SheetsTaken> {
  const taken = (await isPdf(sent.file))
    ? await takeScan(account, sent.file, tell)
    : await takePhoto(account, sent, share => tell({ page: null, share }))
  if (!taken)
    throw new AppError(
      'not-a-picture',
      'No worksheet is found in this photograph.'
        + ' All four corner marks must be seen, and lie flat; or set the corners by hand.'
    )
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
