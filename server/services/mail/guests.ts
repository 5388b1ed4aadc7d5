/** What guests of an open call are told: where their link went, with it. */
import type { LinkRow } from '../../db/people/links'
import { insertMail } from '../../db/people/outbox'
import type { Db } from '../../db/pool'

interface Call {
  readonly title: string
}

/** A guest's piece came in; whoever is written to confirms it by the link, and reads by it later. */
interface EntryTold {
  readonly accountId: number
  readonly link: LinkRow
  readonly to: string
  readonly call: Call
  readonly title: string
  /** The name of a child whose guardian is written to; null where the guest is. */
  readonly guardianOf: string | null
}

const BY_IT = [
  'By the same link you read what is said of it, and can take it all away again.',
  'If you know nothing of this, do nothing: it is deleted after a week.'
]

export function tellEntry(connection: Db, { accountId, link, to, call, title, guardianOf }: EntryTold): Promise<void> {
  const asked = guardianOf
    ? [
        `${guardianOf} is not of age, named you as parent or guardian, and hands in “${title}”.`,
        'Nobody sees it until you open the link and agree.'
      ]
    : [`“${title}” is in.`, 'Nobody sees it until you open the link and confirm.']
  return insertMail(connection, {
    accountId,
    classId: null,
    email: to,
    linkId: link.id,
    subject: guardianOf ? `May ${guardianOf} hand in to “${call.title}”?` : `Confirm your piece for “${call.title}”`,
    body: [...asked, ...BY_IT].join(' ')
  })
}

interface Told {
  readonly call: Call
  readonly entry: {
    readonly accountId: number
    readonly email: string
    readonly guardianEmail: string | null
    readonly words: { readonly title: string }
  }
}
const tell = (
  connection: Db,
  { entry }: Told,
  words: { readonly subject: string; readonly body: string }
): Promise<void> =>
  insertMail(connection, {
    accountId: entry.accountId,
    classId: null,
    email: entry.guardianEmail ?? entry.email,
    ...words
  })

/** No place was left, or another piece was chosen. */
export const tellPassed = (connection: Db, told: Told): Promise<void> =>
  tell(connection, told, {
    subject: `“${told.entry.words.title}” is not among those looked at`,
    body: [
      `More came in to “${told.call.title}” than can be looked at. Thank you for handing in.`,
      'By the link from before you can take your piece away.'
    ].join(' ')
  })

/** A piece was looked at in front of others, and something was written of it. */
export const tellSaid = (connection: Db, told: Told): Promise<void> =>
  tell(connection, told, {
    subject: `“${told.entry.words.title}” was looked at`,
    body: `What was said of it in “${told.call.title}” can be read by your link.`
  })

/** Whoever holds the call does not look at it after all. */
export const tellTakenOff = (connection: Db, told: Told): Promise<void> =>
  tell(connection, told, {
    subject: `“${told.entry.words.title}” was taken off`,
    body: `It is no longer part of “${told.call.title}”, and is deleted with all that was said of it.`
  })
