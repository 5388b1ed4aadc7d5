/**
 * Who may do what: the one place. A piece or a class that is not yours does not exist for you: the answer is the same
 * as for one that was never there. What is yours and not for you to do, or archived, is said.
 */
import { AppError } from '../../shared/errors'
import type { Account, ClassRole } from '../../shared/account'
import type { Assignment } from '../../shared/exercises/assignment'
import type { PieceFacts, Submission } from '../../shared/pieces/submission'
import { findAssignment } from '../db/exercises/assignments'
import { findSet, type OwnedSet } from '../db/exercises/exercise-sets'
import { findRole } from '../db/classes/memberships'
import { db } from '../db/pool'
import { findPieceFor, findSubmission, type Seen } from '../db/pieces/submissions'

/**
 * What is done in a class: handing in; looking at its pieces, marking and drafting; what reaches a learner, and what
 * the class goes by; seeing who is in it, and archiving it; leading it: name, term, people.
 */
export type Act = 'hand-in' | 'look' | 'draft' | 'release' | 'oversee' | 'lead'

const STAFF: readonly ClassRole[] = ['instructor', 'assistant']
const MAY: Readonly<Record<Act, { readonly roles: readonly ClassRole[]; readonly changes: boolean }>> = {
  'hand-in': { roles: ['learner'], changes: true },
  look: { roles: STAFF, changes: false },
  draft: { roles: STAFF, changes: true },
  release: { roles: ['instructor'], changes: true },
  oversee: { roles: ['instructor'], changes: false },
  lead: { roles: ['instructor'], changes: true }
}

const gone = (what: string): AppError =>
  new AppError('not-found', `There is no such ${what}, or it is not yours to see.`)

interface Standing {
  readonly role: ClassRole | null
  readonly archived: boolean
}

const may = ({ role, archived }: Standing, act: Act): boolean =>
  role !== null && MAY[act].roles.includes(role) && !(archived && MAY[act].changes)

/** @throws AppError not-allowed, archived. */
function refuseUnlessMay({ role, archived }: Standing, act: Act, asOwner = false): void {
  if (!asOwner && (!role || !MAY[act].roles.includes(role)))
    throw new AppError(
      'not-allowed',
      act === 'hand-in' ? 'You are not a learner of this class.' : 'This is for an instructor of the class.'
    )
  if (archived && MAY[act].changes)
    throw new AppError('archived', 'This class is archived: it can be read, and nothing in it is changed.')
}

/**
 * @returns what this account is in the class; an owner leads classes that they are not in. @throws AppError not-found,
 * not-allowed, archived.
 */
export async function inClass(account: Account, classId: number, act: Act): Promise<ClassRole | null> {
  const standing = await findRole(db(), classId, account.id),
    asOwner = (act === 'lead' || act === 'oversee') && account.roles.includes('owner')
  if (!standing || (!standing.role && !asOwner)) throw gone('class')
  refuseUnlessMay(standing, act, asOwner)
  return standing.role
}

const isStaff = ({ role }: Standing): boolean => role !== null && STAFF.includes(role)

function visible<T extends PieceFacts>(account: Account, found: Seen<T> | null): Seen<T> {
  if (!found || (!isStaff(found) && found.piece.learner.id !== account.id)) throw gone('piece')
  // How long an instructor works is theirs to know.
  return isStaff(found) ? found : { ...found, piece: { ...found.piece, spentMinutes: 0 } }
}

/** A submission with its report, which its learner or its class's staff asks for. */
export async function visibleSubmission(account: Account, id: number): Promise<Submission> {
  const found = visible(account, await findSubmission(db(), { id, viewerId: account.id }))
  return {
    ...found.piece,
    ...(isStaff(found) ? {} : { sitting: null }),
    may: (['draft', 'release'] as const).filter(act => may(found, act))
  }
}

/** The same piece without its report. */
export const visiblePiece = async (account: Account, id: number): Promise<PieceFacts> =>
  visible(account, await findPieceFor(db(), { id, viewerId: account.id })).piece

/** A piece of a class in which this account may do that. @throws AppError not-found, not-allowed, archived. */
export async function pieceTo(act: 'draft' | 'release', account: Account, id: number): Promise<PieceFacts> {
  const found = await findPieceFor(db(), { id, viewerId: account.id })
  if (!found || !isStaff(found)) throw gone('piece')
  refuseUnlessMay(found, act)
  return found.piece
}

/** A piece whose critique this account may read: its class's staff always, its learner once it is released. */
export async function readablePiece(account: Account, id: number): Promise<PieceFacts> {
  const piece = await visiblePiece(account, id)
  if (piece.learner.id === account.id && piece.state !== 'released') {
    throw new AppError('not-found', 'The critique of this piece is not released yet.')
  }
  return piece
}

/** One's own piece, to say something about it. @throws AppError not-found, not-allowed, archived. */
export async function ownPiece(account: Account, id: number): Promise<PieceFacts> {
  const { piece, archived } = visible(account, await findPieceFor(db(), { id, viewerId: account.id }))
  if (piece.learner.id !== account.id) throw new AppError('not-allowed', 'This is for the learner whose piece it is.')
  refuseUnlessMay({ role: 'learner', archived }, 'hand-in')
  return piece
}

export async function visibleAssignment(account: Account, id: number): Promise<Assignment> {
  const found = await findAssignment(db(), { id, viewerId: account.id })
  const own = found && found.known && found.assignment.learner.id === account.id
  if (!found || (!isStaff(found) && !own)) throw gone('exercise')
  return found.assignment
}

/** An exercise of a class in which this account may do that. @throws AppError not-found, not-allowed, archived. */
export async function assignmentTo(act: 'draft' | 'release', account: Account, id: number): Promise<Assignment> {
  const found = await findAssignment(db(), { id, viewerId: account.id })
  if (!found || !isStaff(found)) throw gone('exercise')
  refuseUnlessMay(found, act)
  return found.assignment
}

/**
 * One's own exercise, to answer it. @throws AppError not-found, not-allowed, archived; already-released once it is
 * confirmed; invalid once it is withdrawn.
 */
export async function ownAssignment(account: Account, id: number): Promise<Assignment> {
  const assignment = await visibleAssignment(account, id)
  if (assignment.learner.id !== account.id)
    throw new AppError('not-allowed', 'This is for the learner whose exercise it is.')
  await inClass(account, assignment.classId, 'hand-in')
  if (assignment.withdrawnAt)
    throw new AppError('invalid', 'This exercise was withdrawn: nothing is asked for any more.')
  if (assignment.confirmedAt) throw new AppError('already-released', 'This exercise is already confirmed.')
  return assignment
}

/**
 * What was set at once, of a class in which this account may do that. @throws AppError not-found, not-allowed,
 * archived.
 */
export async function setTo(act: 'look' | 'release', account: Account, id: number): Promise<OwnedSet['set']> {
  const found = await findSet(db(), id, account.id)
  if (!found || !isStaff(found)) throw gone('exercise')
  refuseUnlessMay(found, act)
  return found.set
}
