/** A mail server on the loopback address that takes everything there is. */
import { text } from 'node:stream/consumers'
import { SMTPServer } from 'smtp-server'
import { freePort } from '../bin/lib/database'

export interface PostOffice {
  readonly url: string
  /** What came, each as it came. */
  readonly mails: readonly string[]
  close(): void
}

/** @param taken what happens when one came, before its sender is told. */
export async function postOffice(taken: () => Promise<void> | void = () => {}): Promise<PostOffice> {
  const mails: string[] = [],
    port = await freePort()
  const server = new SMTPServer({
    authOptional: true,
    disabledCommands: ['STARTTLS'],
    onData: (stream, _, done) => {
      void text(stream).then(async mail => {
        mails.push(mail)
        await taken()
        done()
      })
    }
  })
  // A sender that was killed breaks its connection off: that is no trouble of the post's.
  server.on('error', (error: Error & { remote?: string }) => {
    if (!error.remote) throw error
  })
  server.listen(port, '127.0.0.1')
  return { url: `smtp://127.0.0.1:${port}`, mails, close: () => server.close() }
}
