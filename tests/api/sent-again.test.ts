/** What is sent twice (a hand-in, a correction, a release, a class), too often, or into a queue that is full. */
import type { Connection, RowDataPacket } from 'mysql2/promise'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { piecePageSchema } from '../../shared/pieces/submission'
import { database, Person, picture } from './client'

let ada: Person, connection: Connection
beforeAll(async () => {
  ada = await Person.signedIn('ada')
  connection = await database()
})
afterAll(() => connection.end())

it('sent again with its key is the same piece, also at the same moment; by somebody else it is theirs', async () => {
  const key = 'a1'.repeat(16),
    own = await picture(66, 50),
    send = async (by: Person, words = {}): Promise<number> =>
      (await (await by.handIn(own, { title: 'Sent again', ...words })).json()).id
  const [first, ...more] = await Promise.all([1, 2, 3].map(() => send(ada, { key })))
  expect([...more, await send(ada, { key })]).toEqual([first, first, first])
  const rosa = await Person.signedIn('rosa')
  expect(new Set([first, await send(rosa, { key }), await send(ada), await send(ada)]).size).toBe(4)
})

it('a correction, a release and a class sent again with a key are made once, and answered as they were', async () => {
  const tamsin = await Person.signedIn('tamsin'),
    title = `Released once, ${Date.now()}`,
    { id } = (await (await ada.handIn(await picture(67, 51), { title })).json()) as { id: number },
    marked = { station: 'values', area: null, readingId: null, reason: '', what: 'Once', todo: '', target: null },
    send = async (key: string): Promise<number> =>
      (await (await tamsin.once(key, `/submissions/${id}/corrections`, marked)).json()).id
  const [first, ...more] = await Promise.all([1, 2, 3].map(() => send('of-one-press-of-a-key')))
  expect([...more, await send('of-one-press-of-a-key')]).toEqual([first, first, first])
  expect(await send('of-another-press')).not.toBe(first)
  await tamsin.json('PUT', `/submissions/${id}/critique`, { works: 'It does.', verdict: 'So it is.', revision: 0 })
  await ada.measured(id)
  const release = async (key: string): Promise<number> =>
    (await tamsin.once(key, `/submissions/${id}/release`, {})).status
  expect([
    await release('of-one-press-of-a-key'),
    await release('of-one-press-of-a-key'),
    await release('of-another-press')
  ]).toEqual([200, 200, 409])
  const [[{ mails }]] = await connection.query<RowDataPacket[]>(
    'SELECT COUNT(*) AS mails FROM outbox WHERE subject LIKE ?',
    [`The critique of “${title}”%`]
  )
  expect(mails).toBe(1)
  // Also once the critique can no longer be changed.
  expect(await send('of-one-press-of-a-key')).toBe(first)
  // The same key means the same only for the same person and the same thing.
  const called = {
      name: 'Sent twice',
      startsOn: '2026-09-01',
      endsOn: '2027-06-30',
      budgetMinutes: 5,
      wheel: 'painter'
    },
    make = async (key: string): Promise<number> => (await (await tamsin.once(key, '/classes', called)).json()).id
  expect(await make('of-one-press-of-a-key')).toBe(await make('of-one-press-of-a-key'))
  expect((await tamsin.once('short', '/classes', called)).status).toBe(422)
}, 60_000)

it('after two hundred of a day waits until tomorrow, and for a queue of half an hour until later', async () => {
  const guest = await Person.signedIn('bram'),
    send = async (): Promise<[number, string]> => {
      const answer = await guest.handIn(await picture(68, 50), { title: 'One more' })
      return [answer.status, await answer.text()]
    }
  const { id } = JSON.parse((await send())[1]) as { id: number }
  await guest.measured(id)
  const copies = (n: number): Promise<unknown> =>
    connection.query(
      `INSERT INTO submissions (class_id, learner_id, picture_id, title, stage, handed_in_at)
       SELECT class_id, learner_id, picture_id, 'A copy', stage, handed_in_at
       FROM submissions, seq_1_to_${n} WHERE id = ?`,
      [id]
    )
  const away = (): Promise<unknown> => connection.query("DELETE FROM submissions WHERE title = 'A copy'")
  try {
    await copies(200)
    expect(await send()).toEqual([429, expect.stringContaining('200 pictures within a day')])
    // Yesterday's are yesterday's.
    await connection.query(
      "UPDATE submissions SET handed_in_at = handed_in_at - INTERVAL 25 HOUR WHERE title = 'A copy'"
    )
    expect((await send())[0]).toBe(200)
    await copies(1100)
    await connection.query(
      `UPDATE submissions SET handed_in_at = handed_in_at - INTERVAL 25 HOUR WHERE title = 'A copy'`
    )
    // A hundred more than it takes: some are measured meanwhile.
    await connection.query(
      `INSERT INTO measurements (submission_id, state) SELECT id, 'queued' FROM submissions WHERE title = 'A copy'
       ORDER BY id DESC LIMIT 1100`
    )
    expect(await send()).toEqual([503, expect.stringMatching(/\d+ pictures wait to be measured/)])
    // Whoever has one among them is told with how many it waits.
    const { items } = piecePageSchema.parse(await (await guest.fetch('/submissions')).json())
    const { measurement } = items.find(p => p.title === 'A copy')!
    expect([measurement.state, 'waiting' in measurement && measurement.waiting! > 900]).toEqual(['queued', true])
  } finally {
    await away()
  }
  expect((await send())[0]).toBe(200)
}, 60_000)
