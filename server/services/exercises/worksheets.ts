/** Worksheets and plans as they are printed. */
import type { ExerciseKey } from '../../../core/exercise'
import { exerciseSet, PLAIN_SETTINGS } from '../../../core/exercise'
import { worksheetOf } from '../../../core/exercise/worksheet/layout'
import { worksheetSvg } from '../../../core/exercise/worksheet/svg'
import type { Paper } from '../../../core/exercise/worksheet/worksheet'
import type { Account } from '../../../shared/account'
import type { Assignment } from '../../../shared/exercises/assignment'
import { AppError } from '../../../shared/errors'
import { listAssignmentsOfSet } from '../../db/exercises/assignments'
import { db } from '../../db/pool'
import { printPlan, printWorksheets } from '../../work/workers'
import { PRINTING } from '../../../shared/printed-marks'
import type { WorksheetAsked } from '../../work/worksheet/print'
import { assignmentTo, setTo, visibleAssignment } from '../access'

interface Printed {
  readonly as: 'pdf' | 'svg'
  readonly paper: Paper
  readonly answers: boolean
}
export interface File {
  readonly mediaType: string
  readonly body: string | Buffer
}

const sheetFor = (
  { id, exercise, own, settings, learner, plan }: Assignment,
  { paper, printer }: { readonly paper: Paper; readonly printer: number }
): WorksheetAsked => ({
  exercise,
  own,
  // A learner who chose prints a sheet of what they chose.
  settings: { ...settings, hue: settings.hue ?? plan?.hue ?? null },
  paper,
  printer,
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
  return filed([sheetFor(assignment, { paper: printed.paper, printer: account.id })], printed, `${account.id}`)
}

/** One for each of a set, in one document. */
export async function worksheetsForSet(account: Account, setId: number, printed: Printed): Promise<File> {
  await setTo('look', account, setId)
  const all = (await listAssignmentsOfSet(db(), setId)).filter(a => !a.withdrawnAt)
  if (all.length === 0) throw new AppError('not-found', 'Nobody has this exercise any more.')
  return filed(
    all.map(a => sheetFor(a, { paper: printed.paper, printer: account.id })),
    printed,
    `${account.id}`
  )
}

/** From the shelf, for nobody in particular. */
export const blankWorksheet = (account: Account, exercise: ExerciseKey, printed: Printed): Promise<File> =>
  filed([{ exercise, settings: PLAIN_SETTINGS, paper: printed.paper, printer: account.id }], printed, `${account.id}`)

/** A plan as a page. @throws AppError not-found where there is none. */
export async function planPage(account: Account, id: number, paper: Paper): Promise<File> {
  const { plan, settings, learner, ...what } = await visibleAssignment(account, id)
  if (!plan) throw new AppError('not-found', 'Nothing is planned yet.')
  const asked = { plan, wheel: settings.wheel, title: exerciseSet(what).title, name: learner.name, paper }
  return { mediaType: 'application/pdf', body: Buffer.from(await printPlan(asked, `${account.id}`)) }
}
