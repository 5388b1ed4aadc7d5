/**
 * The database frozen, killed and back; the server killed: a sentence meanwhile, and afterwards everything goes on by
 * itself.
 */
import { once } from 'node:events'
import { readdirSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { afterAll, beforeAll, expect, it, vi } from 'vitest'
import type { RowDataPacket } from 'mysql2/promise'
import type { ErrorBody } from '../../../shared/errors'
import { picture, type Person } from '../client'
import { House, until } from '../../house'
import { postOffice, type PostOffice } from '../../post-office'

let house: House, learner: Person, instructor: Person, post: PostOffice
/** What a mail that comes brings with it. */
let mailCame: () => Promise<void> | void = () => {}
beforeAll(async () => {
  post = await postOffice(() => mailCame())
  vi.stubEnv('CRITICA_SMTP_URL', post.url)
  house = await House.open()
  learner = await house.signedIn('learner-0')
  instructor = await house.signedIn('instructor-0')
})
afterAll(async () => {
  await house.close()
  post.close()
  vi.unstubAllEnvs()
})

async function handIn(title: string): Promise<number> {
  const answer = await learner.handIn(await picture(900, 700), { title })
  if (!answer.ok) throw new Error(`${title}: ${answer.status} ${await answer.text()}`)
  return ((await answer.json()) as { id: number }).id
}
const allMeasured = async (): Promise<void> => {
  await house.allMeasured()
  expect(new Set(await house.states())).toEqual(new Set(['done']))
}

it('a frozen database is said within seconds, and forgotten when it thaws', async () => {
  await handIn('Before the frost')
  house.database.process.kill('SIGSTOP')
  const from = Date.now(),
    answers = await Promise.all([
      instructor.fetch('/submissions'),
      instructor.fetch('/shelves'),
      learner.handIn(await picture())
    ])
  for (const answer of answers)
    expect([answer.status, ((await answer.json()) as ErrorBody).error]).toEqual([
      503,
      { code: 'unavailable', message: expect.stringContaining('does not answer just now') }
    ])
  expect(answers[0]!.headers.get('retry-after')).toBe('2')
  expect(Date.now() - from).toBeLessThan(12_000)
  house.database.process.kill('SIGCONT')
  await until('served again', async () => (await instructor.fetch('/submissions')).ok, 10_000)
  await allMeasured()
})

it('a database killed while pieces are measured leaves none of them stuck when it is back', async () => {
  const ids = await Promise.all(['One', 'Two', 'Three'].map(handIn))
  await until('one is being measured', async () => (await house.states()).includes('measuring'))
  house.database.process.kill('SIGKILL')
  await once(house.database.process, 'exit')
  expect((await instructor.fetch('/submissions')).status).toBe(503)
  expect((await instructor.json('POST', `/submissions/${ids[0]}/measure`)).status).toBe(503)
  expect((await fetch(`${house.origin}/healthz`)).status).toBe(200)
  const waiting = await fetch(`${house.origin}/readyz`)
  expect([waiting.status, await waiting.json()]).toEqual([
    503,
    { database: 'away', tables: 'unknown', workers: 'open' }
  ])
  await house.startDatabase()
  // Nobody hands anything in, and nobody asks: it is taken up all the same.
  await allMeasured()
  expect((await instructor.fetch('/submissions')).status).toBe(200)
  const ready = await fetch(`${house.origin}/readyz`)
  expect([ready.status, await ready.json()]).toEqual([200, { database: 'here', tables: 'right', workers: 'open' }])
})

it('a mail that was sent while the database went is said to be sent when it is back, and goes out once', async () => {
  mailCame = async () => {
    mailCame = () => {}
    house.database.process.kill('SIGKILL')
    await once(house.database.process, 'exit')
  }
  const connection = await house.connect()
  await connection.query(
    `INSERT INTO outbox (account_id, email, subject, body)
     SELECT MIN(id), 'once@critica.test', 'Once', '' FROM accounts`
  )
  connection.destroy()
  await until('it was taken', () => post.mails.length === 1 && house.database.process.signalCode !== null)
  await house.startDatabase()
  // Sooner than the minute in which nobody else takes it.
  await until(
    'it is said to be sent',
    async () => {
      const kept = await house.connect(),
        [rows] = await kept.query<RowDataPacket[]>("SELECT 1 FROM outbox WHERE subject = 'Once' AND delivered_at > 0")
      await kept.end()
      return rows.length === 1
    },
    20_000
  )
  expect(post.mails).toHaveLength(1)
})

it('a server killed while it takes work in loses none it answered for, and the next clears its scratch', async () => {
  const sent = Array.from({ length: 6 }, (_, i) =>
    handIn(`Killed ${i}`).then(
      () => 1,
      (error: Error) => {
        console.log(error.message)
        return 0
      }
    )
  )
  await until('one is in', async () => (await house.states()).length >= 5)
  process.kill(-house.server.pid!, 'SIGKILL')
  await once(house.server, 'exit')
  const answered = (await Promise.all(sent)).reduce((sum, n) => sum + n, 0 as number)
  expect((await house.states()).length).toBeGreaterThanOrEqual(4 + answered)
  const scratch = `critica-scratch-${house.server.pid}`
  expect(readdirSync(tmpdir())).toContain(scratch)
  await house.startServer()
  expect(readdirSync(tmpdir())).not.toContain(scratch)
  await allMeasured()
})

it('both killed at once come back to the same pieces', async () => {
  const before = (await house.states()).length
  house.database.process.kill('SIGKILL')
  process.kill(-house.server.pid!, 'SIGKILL')
  await Promise.all([once(house.database.process, 'exit'), once(house.server, 'exit')])
  await house.startDatabase()
  await house.startServer()
  expect(await house.states()).toHaveLength(before)
  expect(
    ((await (await instructor.fetch('/submissions?shelf=review&most=100')).json()) as { items: unknown[] }).items
  ).toHaveLength(before)
})
