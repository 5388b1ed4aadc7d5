/**
 * Real mail, when a mail server is set: the outbox is emptied in the background, one mail after the other; nothing
 * waits for it.
 */
import { createTransport, type Transporter } from 'nodemailer'
import pRetry from 'p-retry'
import { findLink } from '../../db/people/links'
import { claimUndelivered, markTried, type Undelivered } from '../../db/people/outbox'
import { databaseAway } from '../../db/outage'
import { db, transaction, type Db } from '../../db/pool'
import { settings } from '../../settings'
import { pathOf } from '../entering/links'
import { logError } from '../../log'

const EVERY_MS = 3000
/** A mail server that hangs is given up within the minute that a mail is its taker's. */
const LIMITS = { connectionTimeout: 10_000, greetingTimeout: 10_000, socketTimeout: 20_000 }
/** For most of the minute that a mail is its taker's. */
const SAID_AGAIN = { minTimeout: 500, factor: 1.5, maxTimeout: 3000, retries: 30, maxRetryTime: 45_000 }
let timer: NodeJS.Timeout | null = null
let transport: Transporter | null = null
let busy: Promise<void> | null = null

/** The words of a mail with its link; null when that is over. */
async function wordsOf(connection: Db, { body, linkId }: Undelivered): Promise<string | null> {
  if (linkId === null) return body
  const link = await findLink(connection, linkId)
  const { CRITICA_ORIGIN, CRITICA_SECRET } = settings()
  return link && `${body}\n\n${CRITICA_ORIGIN}${pathOf(link, CRITICA_SECRET)}`
}

/**
 * Sends one mail. @returns whether there was one. A mail server that fails is tried again later, and the failure is
 * told in the outbox.
 */
async function postOne(from: string): Promise<boolean> {
  const mail = await transaction(claimUndelivered)
  if (!mail) return false
  const text = await wordsOf(db(), mail)
  const failure =
    text === null
      ? 'the link in it is over'
      : await transport!
          .sendMail({
            from,
            to: { name: mail.name, address: mail.email },
            subject: mail.subject,
            text,
            // The same when it is tried again: a server that took it and was not heard takes it once.
            messageId: `<critica-${mail.id}@${new URL(settings().CRITICA_ORIGIN).hostname}>`,
            ...(mail.inReplyTo ? { inReplyTo: mail.inReplyTo, references: mail.references ?? '' } : {}),
            // No program answers it (RFC 3834, section 5).
            headers: { 'Auto-Submitted': mail.inReplyTo ? 'auto-replied' : 'auto-generated' }
          })
          .then(
            () => '',
            (error: Error) => error.message || 'the mail server refused it'
          )
  // Whoever sent it says so, also when the database is away just then: else another would send it again.
  await pRetry(() => markTried(db(), mail.id, failure), {
    ...SAID_AGAIN,
    shouldRetry: ({ error }) => databaseAway(error)
  })
  return true
}

async function empty(from: string): Promise<void> {
  while (timer && (await postOne(from)));
}

/** @param url of the mail server; undefined leaves all mail in the outbox. */
export function startPosting(url: string | undefined, from: string): void {
  if (!url) return
  transport = createTransport({ url, ...LIMITS })
  timer = setInterval(() => {
    busy ??= empty(from)
      .catch(error => logError('posting failed', error))
      .finally(() => {
        busy = null
      })
  }, EVERY_MS)
  timer.unref()
}

export async function stopPosting(): Promise<void> {
  if (timer) clearInterval(timer)
  timer = null
  await busy
  transport?.close()
}
