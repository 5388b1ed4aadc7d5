/** What is answered to mail that came in, into its own thread. */
import { count, capital } from '../../../core/critique/words'
import { countToStranger, insertMail, type Thread } from '../../db/people/outbox'
import type { Db } from '../../db/pool'

interface LeftOut {
  readonly name: string
  readonly why: string
}
const leftOutWords = (leftOut: readonly LeftOut[]): string =>
  leftOut.length === 0 ? '' : `\n\nLeft out:\n${leftOut.map(({ name, why }) => `– ${name} ${why}`).join('\n')}`

interface Answered {
  readonly accountId: number
  readonly thread: Thread
  readonly leftOut: readonly LeftOut[]
}

export function tellWaiting(
  connection: Db,
  { accountId, thread, title, count: n, leftOut }: Answered & { readonly title: string; readonly count: number }
): Promise<void> {
  const pictures = `${capital(count(n))} picture${n === 1 ? ' is' : 's are'} in`
  return insertMail(connection, {
    accountId,
    classId: null,
    thread,
    subject: title ? `${pictures}: “${title}”` : pictures,
    body: [
      `Your instructor looks at ${n === 1 ? 'it' : 'them'} first; the critique comes in answer to this mail.`,
      leftOutWords(leftOut)
    ].join('')
  })
}

export const tellRefused = (
  connection: Db,
  { accountId, thread, reason, leftOut }: Answered & { readonly reason: string }
): Promise<void> =>
  insertMail(connection, {
    accountId,
    classId: null,
    thread,
    subject: 'Nothing was taken of your mail',
    body: `${capital(reason)}. You can hand in on the page too.${leftOutWords(leftOut)}`
  })

/** @property word why, in the instructor's; may be empty. */
interface Declined {
  readonly classId: number
  readonly name: string
  readonly word: string
}
/** Its instructor did not take a picture. */
export const tellDeclined = (
  connection: Db,
  { accountId, classId, thread, name, word }: Omit<Answered, 'leftOut'> & Declined
): Promise<void> =>
  insertMail(connection, {
    accountId,
    classId,
    thread,
    subject: `“${name}” was not taken`,
    body: word || 'Your instructor left it out. Ask them if you do not know why.'
  })

/** Once a day and address at most: it may not be theirs. */
export async function tellStranger(
  connection: Db,
  { address, thread }: { readonly address: string; readonly thread: Thread }
): Promise<void> {
  if ((await countToStranger(connection, address)) > 0) return
  await insertMail(connection, {
    accountId: null,
    classId: null,
    email: address,
    thread,
    subject: 'Nothing was taken of your mail',
    body: [
      'Pictures are taken here from people who learn in a class, by the address they gave there;',
      'this one is not among those.',
      'Send from that one, or hand in on the page. If you wrote no mail, somebody used your address: do nothing.'
    ].join(' ')
  })
}
