/** Real mail, when a mail server is set: the outbox is emptied in the background, one mail after the other; nothing waits for it. */
import { createTransport, type Transporter } from 'nodemailer'
import { claimUndelivered, markTried } from '../db/outbox'
import { transactionOnce } from '../db/pool'

const EVERY_MS = 3000
let timer: NodeJS.Timeout | null = null
let transport: Transporter | null = null
let busy: Promise<void> | null = null

/** Sends one mail. @returns whether there was one. A mail server that fails is tried again later, and the failure is told in the outbox. */
function postOne(from: string): Promise<boolean> {
  return transactionOnce(async connection => {
    const mail = await claimUndelivered(connection)
    if (!mail) return false
    const failure = await transport!
      .sendMail({ from, to: { name: mail.name, address: mail.email }, subject: mail.subject, text: mail.body })
      .then(
        () => '',
        (error: Error) => error.message || 'the mail server refused it'
      )
    await markTried(connection, mail.id, failure)
    return true
  })
}

async function empty(from: string): Promise<void> {
  while (timer && (await postOne(from)));
}

/** @param url of the mail server; undefined leaves all mail in the outbox. */
export function startPosting(url: string | undefined, from: string): void {
  if (!url) return
  transport = createTransport(url)
  timer = setInterval(() => {
    busy ??= empty(from)
      .catch(error => console.error('posting:', error))
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
