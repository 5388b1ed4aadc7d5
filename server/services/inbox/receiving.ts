/**
 * A mail becomes hand-ins that wait, or is refused with a reason: the one way in for whatever brings it. What a learner
 * sends is answered into its thread; a stranger is told once a day how to come in; a program never.
 */
import { createHash } from 'node:crypto'
import { createReadStream } from 'node:fs'
import { pipeline } from 'node:stream/promises'
import { AppError } from '../../../shared/errors'
import { LETTER_LIMITS, type Brought } from '../../../shared/letter'
import { findByLogin } from '../../db/people/accounts'
import { countLetters, insertLetter, insertLetterPicture, isLetterKnown, type NewLetter } from '../../db/pieces/letters'
import { withBlobs } from '../../blobs/blobs'
import { db, transaction } from '../../db/pool'
import { dropScratch } from '../../scratch'
import { settings } from '../../settings'
import type { LeftOut, LetterRead } from '../../work/letter/letter'
import { readLetter } from '../../work/workers'
import { count as countWord } from '../../../core/critique/words'
import { tellRefused, tellStranger, tellWaiting } from '../mail/letters'
import { blobsOf, keepPicture, takeApart, type Sizes } from '../pieces/handing-in'
import { automatic, proofOf } from './guard'
import { titleOf, writtenOf } from './words'

/** Pictures of one learner that may wait at once, and their mails a day. */
const MOST_WAITING = 24,
  MOST_TODAY = 40
/** A signature's badge, not the work: the longer side in pixels. */
const SMALL = 200

export interface Incoming {
  /** The mail, or its head alone where it is too long. */
  readonly file: string
  readonly bytes: number
  /** Brought in by somebody of the house: then nobody is written to. */
  readonly byHand: boolean
}

/** @returns what came of it, in words for whoever brought it. */
export async function receive({ file, bytes, byHand }: Incoming): Promise<Brought> {
  const mail = await readLetter({ file, bytes }, 'mail')
  try {
    return await judged(mail, { mark: await markOf(mail, file), byHand })
  } finally {
    await Promise.all(mail.pictures.map(p => dropScratch(p.file)))
  }
}

/** By its own number and sender; of one without, by all of it. */
async function markOf({ messageId, from }: LetterRead, file: string): Promise<Buffer> {
  const hash = createHash('sha256')
  if (messageId) return hash.update(`${messageId} ${from.join(' ')}`).digest()
  await pipeline(createReadStream(file), hash)
  return hash.digest()
}

/** Where it goes from here: a reason why not, whether its sender hears of it, and what is kept. */
interface Refusal {
  readonly reason: string
  readonly answer: 'none' | 'learner' | 'stranger'
}
type Known = { readonly id: number; readonly name: string } | null

const own = (): string => /<([^<>]+)>/.exec(settings().CRITICA_MAIL_FROM)?.[1]?.toLowerCase() ?? ''

async function judged(
  mail: LetterRead,
  { mark, byHand }: { readonly mark: Buffer; readonly byHand: boolean }
): Promise<Brought> {
  if (await isLetterKnown(db(), mark)) return { reason: 'This mail came in already.', pictures: 0 }
  const learner = await learnerOf(mail),
    refusal = await refusalOf(mail, learner)
  if (refusal) return refuse({ mail, mark, learner, byHand }, refusal)
  const { sizes, leftOut } = await taken(mail, learner!.id)
  const all = [...mail.leftOut, ...leftOut]
  if (sizes.length === 0)
    return refuse(
      { mail: { ...mail, leftOut: all }, mark, learner, byHand },
      {
        reason: 'there is no picture in it that can be read',
        answer: 'learner'
      }
    )
  await keep({ mail: { ...mail, leftOut: all }, mark, learner: learner!, byHand }, sizes)
  return { reason: '', pictures: sizes.length }
}

async function learnerOf({ from }: LetterRead): Promise<Known> {
  if (from.length !== 1) return null
  const found = await findByLogin(db(), from[0]!)
  return found?.account.email?.toLowerCase() === from[0] && found!.account.roles.includes('learner')
    ? found.account
    : null
}

async function refusalOf(mail: LetterRead, learner: Known): Promise<Refusal | null> {
  const program = automatic(mail, own())
  if (program) return { reason: program, answer: 'none' }
  if (mail.from.length !== 1) return { reason: 'it does not say who sent it, or names several', answer: 'none' }
  if (proofOf(mail, settings().CRITICA_MAIL_AUTHSERV) === 'forged')
    return { reason: 'it is not from the address it names: the mail server found it forged', answer: 'none' }
  if (!learner) return { reason: 'nobody who learns here has this address', answer: 'stranger' }
  const { waiting, today } = await countLetters(db(), learner.id)
  // A ring of programs that no field tells ends here.
  if (today >= MOST_TODAY) return { reason: `${MOST_TODAY} mails came from this address within a day`, answer: 'none' }
  if (mail.tooLarge)
    return {
      reason:
        `it is larger than ${LETTER_LIMITS.bytes / 1024 / 1024} MB:`
        + ' send the pictures in several mails, or smaller',
      answer: 'learner'
    }
  if (waiting >= MOST_WAITING)
    return { reason: `${countWord(waiting)} pictures of theirs wait already`, answer: 'learner' }
  return null
}

/** Each picture decoded as any hand-in is; what cannot be is left out, with the reason. */
async function taken(mail: LetterRead, learnerId: number): Promise<{ sizes: [string, Sizes][]; leftOut: LeftOut[] }> {
  const sizes: [string, Sizes][] = [],
    leftOut: LeftOut[] = []
  for (const { name, file } of mail.pictures)
    try {
      const picture = await takeApart(file, { what: 'It', who: `${learnerId}` }),
        { width, height } = picture.source
      if (Math.max(width, height) < SMALL) leftOut.push({ name, why: 'is too small to be the work' })
      else sizes.push([name, picture])
    } catch (error) {
      if (!(error instanceof AppError)) throw error
      leftOut.push({ name, why: `was not taken. ${error.message}` })
    }
  return { sizes, leftOut }
}

interface Judged {
  readonly mail: LetterRead
  readonly mark: Buffer
  readonly learner: Known
  readonly byHand: boolean
}

const rowOf = ({ mail, mark, learner }: Judged, reason: string): NewLetter => ({
  mark,
  accountId: learner?.id ?? null,
  address: mail.from[0] ?? '',
  name: mail.name,
  messageId: mail.messageId,
  references: mail.references,
  subject: mail.subject,
  body: writtenOf(mail.text, learner?.name),
  proven: proofOf(mail, settings().CRITICA_MAIL_AUTHSERV) === 'proven',
  leftOut: mail.leftOut,
  reason
})

async function refuse(letter: Judged, { reason, answer }: Refusal): Promise<Brought> {
  const { mail, learner, byHand } = letter,
    thread = { subject: mail.subject, messageId: mail.messageId, references: mail.references }
  await transaction(async connection => {
    await insertLetter(connection, rowOf(letter, reason))
    if (byHand) return
    if (answer === 'learner' && learner)
      await tellRefused(connection, { accountId: learner.id, thread, reason, leftOut: mail.leftOut })
    if (answer === 'stranger') await tellStranger(connection, { address: mail.from[0]!, thread })
  })
  return { reason: `Nothing was taken of it: ${reason}.`, pictures: 0 }
}

/** One that cannot even be taken apart: whose it is nobody knows. */
export async function refuseUnread(file: string): Promise<void> {
  const nothing: LetterRead = {
    from: [],
    name: '',
    messageId: '',
    references: [],
    subject: '',
    text: '',
    headers: {},
    pictures: [],
    leftOut: [],
    tooLarge: false
  }
  const mark = await markOf(nothing, file)
  if (await isLetterKnown(db(), mark)) return
  await refuse({ mail: nothing, mark, learner: null, byHand: true }, { reason: 'it could not be read', answer: 'none' })
}

async function keep(letter: Judged, pictures: readonly (readonly [string, Sizes])[]): Promise<void> {
  const { mail, learner, byHand } = letter,
    blobs = (await Promise.all(pictures.map(([, sizes]) => blobsOf(sizes)))).flat()
  await withBlobs(blobs, async connection => {
    const letterId = await insertLetter(connection, rowOf(letter, ''))
    for (const [place, [name, sizes]] of pictures.entries())
      await insertLetterPicture(connection, {
        letterId,
        place,
        name,
        pictureId: await keepPicture(connection, sizes)
      })
    if (!byHand)
      await tellWaiting(connection, {
        accountId: learner!.id,
        thread: { subject: mail.subject, messageId: mail.messageId, references: mail.references },
        title: titleOf(mail.subject),
        count: pictures.length,
        leftOut: mail.leftOut
      })
  })
}
