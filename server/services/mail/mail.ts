/**
 * Telling people: every message goes to the outbox in the transaction that caused it, so that none is sent for what did
 * not happen.
 */
import type { PieceFacts } from '../../../shared/pieces/submission'
import type { Account } from '../../../shared/account'
import type { Mail } from '../../../shared/mail'
import { format } from 'date-fns'
import { exerciseSet, type WhatIsSet } from '../../../core/exercise'
import { findLink, type LinkRow } from '../../db/people/links'
import { insertMail, listMail } from '../../db/people/outbox'
import { findThread } from '../../db/pieces/letters'
import { db, type Db } from '../../db/pool'
import { settings } from '../../settings'
import { pathOf } from '../entering/links'

/** Whether mail to the house is read, or goes nowhere. */
const notRead = (): string => (settings().CRITICA_IMAP_URL ? '' : ' This address is not read.')
const signed = (): string => `\n\nYou find it in Critica under the piece.${notRead()}`

export const tellReleased = async (
  connection: Db,
  { id, learner, classId, title }: PieceFacts,
  amended: string
): Promise<void> =>
  insertMail(connection, {
    thread: await findThread(connection, id),
    accountId: learner.id,
    classId,
    subject: amended ? `The critique of “${title}” was changed` : `The critique of “${title}” is there`,
    body: (amended ? `It was changed: ${amended}` : 'Your instructor has looked at your piece.') + signed()
  })

export const tellWithdrawn = async (connection: Db, { id, learner, classId, title }: PieceFacts): Promise<void> =>
  insertMail(connection, {
    thread: await findThread(connection, id),
    accountId: learner.id,
    classId,
    subject: `The critique of “${title}” was taken back`,
    body: `It will come again.${signed()}`
  })

export const tellQuestion = (
  connection: Db,
  {
    instructorId,
    piece: { learner, classId, title },
    question
  }: { readonly instructorId: number; readonly piece: PieceFacts; readonly question: string }
): Promise<void> =>
  insertMail(connection, {
    accountId: instructorId,
    classId,
    aboutId: learner.id,
    subject: `${learner.name} asks about “${title}”`,
    body: question + signed()
  })

export const tellAnswer = async (
  connection: Db,
  { id, learner, classId, title }: PieceFacts,
  answer: string
): Promise<void> =>
  insertMail(connection, {
    thread: await findThread(connection, id),
    accountId: learner.id,
    classId,
    subject: `Your question about “${title}” is answered`,
    body: answer + signed()
  })

/** Somebody may come in, and chooses a password first. */
export const tellInvited = (connection: Db, { accountId, link, className, classId }: Invited): Promise<void> =>
  insertMail(connection, {
    accountId,
    classId,
    linkId: link.id,
    subject: className ? `You are invited to “${className}”` : 'You are invited to Critica',
    body: `Choose a password, and you are in. The link works once, until ${dayOf(link.expiresAt)}.`
  })
export interface Invited {
  readonly accountId: number
  readonly link: LinkRow
  readonly classId: number | null
  readonly className: string | null
}

/** Somebody who has an account already is in another class. */
export const tellAdded = (connection: Db, { accountId, classId, className }: Omit<Invited, 'link'>): Promise<void> =>
  insertMail(connection, {
    accountId,
    classId,
    subject: `You are in “${className}” now`,
    body: 'You sign in as before. If this is a mistake, tell the instructor.'
  })

export const tellReset = (connection: Db, accountId: number, link: LinkRow): Promise<void> =>
  insertMail(connection, {
    accountId,
    classId: null,
    linkId: link.id,
    subject: 'Another password for Critica',
    body: 'Somebody asked for it, and we hope it was you; if not, do nothing. The link works once, within the hour.'
  })

export const tellNewAddress = (connection: Db, accountId: number, link: LinkRow): Promise<void> =>
  insertMail(connection, {
    accountId,
    classId: null,
    email: link.email,
    linkId: link.id,
    subject: 'Is this your address?',
    body:
      'Open the link to confirm it. Until then the address from before is used.'
      + ' If you know nothing of this, do nothing.'
  })

/** What was changed about how somebody comes in: seen by them, whoever did it. */
export const tellSecurity = (
  connection: Db,
  accountId: number,
  what: 'Your password was changed' | 'The second step was turned on' | 'The second step was turned off'
): Promise<void> =>
  insertMail(connection, {
    accountId,
    classId: null,
    subject: what,
    body: 'If it was not you, ask for another password at the door at once, and tell whoever runs the house.'
  })

/** To the address from before, so that a stranger's change is seen. */
export const tellAddressChanged = (connection: Db, accountId: number, before: string): Promise<void> =>
  insertMail(connection, {
    accountId,
    classId: null,
    email: before,
    subject: 'Your address in Critica was changed',
    body: 'If it was not you, tell whoever runs the house at once.'
  })

/** @property name of whom it is about, for those who teach them; null for themselves. */
interface ErasureTold {
  readonly accountId: number
  readonly classId: number | null
  readonly aboutId: number | null
  readonly name: string | null
  /** When it happens. */
  readonly at: string
}
export const tellErasure = (connection: Db, { accountId, classId, aboutId, name, at }: ErasureTold): Promise<void> =>
  insertMail(connection, {
    accountId,
    classId,
    aboutId,
    subject: `${name ?? 'Your account'} will be erased on ${dayOf(at)}`,
    body: name
      ? 'Everything of theirs goes with them. Until then it can be undone, on the list of the class.'
      : 'Everything of yours goes with it: pictures, critiques, exercises.'
        + ' Until then you can undo it on your account’s page, and take your record away.'
  })

export const tellErasureUndone = (connection: Db, accountId: number): Promise<void> =>
  insertMail(connection, {
    accountId,
    classId: null,
    subject: 'Your account stays',
    body: 'It will not be erased. Nothing of it was changed.'
  })

const EXERCISE_SUBJECT = {
  set: (title: string) => `An exercise: ${title}`,
  changed: (title: string) => `Your exercise “${title}” has another day`,
  withdrawn: (title: string) => `Your exercise “${title}” was withdrawn`,
  confirmed: (title: string) => `Your exercise “${title}” is confirmed`,
  again: (title: string) => `Your exercise “${title}” is to be done again`,
  due: (title: string) => `“${title}” is due soon`
} as const
export interface ExerciseTold extends WhatIsSet {
  readonly what: keyof typeof EXERCISE_SUBJECT
  readonly learnerId: number
  readonly classId: number
  readonly dueOn: string
  readonly note: string
}
/** What became of an exercise, with the instructor's word. */
export function tellExercise(
  connection: Db,
  { what, learnerId, classId, exercise, own, dueOn, note }: ExerciseTold
): Promise<void> {
  const due = what === 'withdrawn' || what === 'confirmed' ? '' : `It is due on ${dayOf(dueOn)}.`
  return insertMail(connection, {
    accountId: learnerId,
    classId,
    subject: EXERCISE_SUBJECT[what](exerciseSet({ exercise, own }).title),
    body: `${[note, due].filter(Boolean).join(' ')}\n\nYou find it in Critica under the exercises.${notRead()}`.trim()
  })
}

const dayOf = (iso: string): string => format(new Date(iso), 'd MMMM')

/**
 * What an account may see of what was sent: its own, and an instructor that about their classes. A link is shown where
 * no mail server sends it.
 */
export async function mailOf(account: Account): Promise<Mail[]> {
  const { CRITICA_SMTP_URL, CRITICA_SECRET } = settings()
  return Promise.all(
    (await listMail(db(), account.id)).map(async ({ linkId, ...mail }) => {
      const link = linkId === null || CRITICA_SMTP_URL ? null : await findLink(db(), linkId)
      return { ...mail, link: link && pathOf(link, CRITICA_SECRET) }
    })
  )
}
