/**
 * An open call from outside: fifty guests at once, each once; confirmed by links; drawn by a seed anybody can check.
 */
import { afterAll, beforeAll, expect, it } from 'vitest'
import { drawLots } from '../../core/call/order'
import { callListSchema, entrySchema, openCallSchema, type ListedCall } from '../../shared/call'
import { newAccount } from '../people'
import { database, Person } from './client'
import { linkOf, painted, proofFor, sendTo } from './guests'

const mark = Date.now().toString(36),
  password = 'grey-heron-lamp'
let connection: Awaited<ReturnType<typeof database>>, holder: Person, other: Person

beforeAll(async () => {
  connection = await database()
  for (const key of ['holder', 'other'])
    await newAccount(connection, { email: `${key}-${mark}@school.example`, name: key, password, house: 'instructor' })
  ;[holder, other] = (await Promise.all(
    ['holder', 'other'].map(key => Person.signedIn(`${key}-${mark}@school.example`, { password }))
  )) as [Person, Person]
}, 60_000)
afterAll(() => connection.end())

const day = (days: number): string => new Date(Date.now() + days * 86_400_000).toISOString().slice(0, 10)
const CALL = {
  asked: 'One picture of the harbour, made outdoors.',
  opensOn: day(-1),
  closesOn: day(3),
  perPerson: 1,
  most: 20,
  budgetMinutes: 6,
  returned: 'both'
}
async function listed(id: number, by = holder): Promise<ListedCall | undefined> {
  return callListSchema.parse(await (await by.fetch('/calls')).json()).find(c => c.id === id)
}
async function opened(more: Record<string, unknown>): Promise<ListedCall> {
  const answer = await holder.json('POST', '/calls', { title: `Call ${mark}`, ...CALL, ...more })
  expect(answer.status, await answer.clone().text()).toBe(200)
  return (await listed(((await answer.json()) as { id: number }).id))!
}
const entryAt = async (link: string) => entrySchema.parse(await (await new Person().fetch(link)).json())

it('takes fifty guests within a minute, none lost, none twice; lots are drawn as anybody can check', async () => {
  const call = await opened({ title: `Fifty ${mark}`, ordered: 'lot' }),
    page = call.path
  expect(
    openCallSchema.parse(((await (await new Person().fetch(page)).json()) as { call: unknown }).call)
  ).toMatchObject({
    standing: 'open',
    seed: call.seed,
    instructors: 'holder'
  })
  const start = performance.now()
  // Each guest's browser does its own small task: all fifty at once in this one process run out of the library's time.
  const guests = []
  for (let n = 0; n < 50; n++)
    guests.push({
      picture: await painted(n),
      email: `g${n}-${mark}@elsewhere.example`,
      words: { proof: await proofFor(page), title: `Piece ${n}` }
    })
  const links = await Promise.all(
    guests.map(async (form, n) => {
      // A finger that presses twice sends the same form twice.
      const answers = await Promise.all((n % 5 === 0 ? [1, 2] : [1]).map(() => sendTo(page, form)))
      const came = answers.filter(a => a.status === 200)
      expect(came.length, await answers[0]!.clone().text()).toBe(1)
      return linkOf(came[0]!)
    })
  )
  expect(performance.now() - start).toBeLessThan(60_000)
  expect((await listed(call.id))!.entries.map(e => e.state)).toEqual(guests.map(() => 'sent'))
  await Promise.all(links.map(link => new Person().json('POST', `${link}/confirm`)))
  // Opened again, as mail programs do: once is enough.
  expect((await new Person().json('POST', `${links[0]!}/confirm`)).status).toBe(200)
  const waiting = (await listed(call.id))!.entries
  expect(new Set(waiting.map(e => e.title)).size).toBe(50)
  expect(waiting.every(e => e.state === 'waiting')).toBe(true)

  expect((await holder.json('POST', `/calls/${call.id}/draw`)).status).toBe(422)
  await holder.json('POST', `/calls/${call.id}/close`)
  expect((await other.json('POST', `/calls/${call.id}/draw`)).status).toBe(404)
  expect((await holder.json('POST', `/calls/${call.id}/draw`)).status).toBe(200)
  expect((await holder.json('POST', `/calls/${call.id}/draw`)).status).toBe(409)
  const drawn = drawLots(
      waiting.map(e => e.id),
      call.seed
    ),
    after = (await listed(call.id))!.entries
  expect(after.map(e => e.id)).toEqual(drawn)
  expect(after.map(e => e.state)).toEqual(after.map((_, i) => (i < 20 ? 'taken' : 'passed')))
  // On the desk in the same order.
  const [rows] = await connection.query('SELECT id FROM submissions WHERE class_id = ? ORDER BY handed_in_at', [
    call.classId
  ])
  expect((rows as { id: number }[]).map(r => r.id)).toEqual(after.slice(0, 20).map(e => e.submissionId))
}, 120_000)

it('refuses in words: twice from one address, no guardian, a borrowed proof, a full call, a closed one', async () => {
  const call = await opened({ ordered: 'first', most: 2 }),
    picture = await painted(1),
    send = (email: string, words?: Record<string, string>) =>
      sendTo(call.path, { picture, email: `${email}-${mark}@x.example`, words })
  expect((await send('a')).status).toBe(200)
  for (const [email, words, said] of [
    ['a', {}, /takes one a person/],
    ['b', { ofAge: 'false' }, /parent or guardian/],
    ['b', { proof: '{}' }, /keeps robots out/],
    ['b', { proof: await proofFor((await opened({ ordered: 'first' })).path) }, /keeps robots out/],
    ['b', { title: ' ' }, /needs a title/]
  ] as const) {
    const answer = await send(email, { ...words })
    expect(answer.status).toBe(422)
    expect(await answer.text()).toMatch(said)
  }
  const none = await sendTo(call.path, { picture: Buffer.from('no picture'), email: `c-${mark}@x.example` })
  expect([none.status, await none.text()]).toEqual([415, expect.stringMatching(/not a picture/)])
  const child = await send('b', { ofAge: 'false', guardianEmail: `parent-${mark}@x.example` })
  expect(await child.clone().json()).toMatchObject({ to: `parent-${mark}@x.example` })
  expect(await (await send('d')).text()).toMatch(/All places/)
  await holder.json('POST', `/calls/${call.id}/close`)
  expect(await (await send('e')).text()).toMatch(/is closed/)
  // The very last letter of one says less than a letter can.
  expect((await new Person().fetch(call.path.replace(/.(?=.{9}$)/, at => (at === 'x' ? 'y' : 'x')))).status).toBe(404)
  expect(await (await new Person().fetch(`${await linkOf(child)}`)).json()).toMatchObject({
    guardian: true,
    state: 'sent'
  })
}, 60_000)

it('lets a guest read by their link, ask back, and take it all away', async () => {
  const call = await opened({ ordered: 'first' }),
    link = await linkOf(await sendTo(call.path, { picture: await painted(7), email: `r-${mark}@x.example` })),
    guest = new Person()
  expect((await guest.json('POST', `${link}/session`)).status).toBe(404)
  await guest.json('POST', `${link}/confirm`)
  const { submissionId } = await entryAt(link),
    on = `/submissions/${submissionId}`
  expect((await guest.fetch(on)).status).toBe(401)
  const { revision } = (await (await holder.fetch(`${on}/critique`)).json()) as { revision: number }
  await holder.measured(submissionId!)
  await holder.json('PUT', `${on}/verdict`, { works: 'The colour.', verdict: 'Go on.', revision })
  expect((await holder.json('POST', `${on}/release`)).status).toBe(200)
  expect(await entryAt(link)).toMatchObject({ ready: true, state: 'taken' })
  // It is told where the link went, with the link.
  const [mail] = await connection.query(
    `SELECT o.email, o.link_id FROM outbox o JOIN submissions s ON s.learner_id = o.account_id
     WHERE s.id = ? AND o.subject LIKE 'The critique of%'`,
    [submissionId]
  )
  expect(mail).toMatchObject([{ email: `r-${mark}@x.example`, link_id: expect.any(Number) }])
  expect((await guest.json('POST', `${link}/session`)).status).toBe(200)
  expect(await (await guest.fetch(`${on}/critique`)).json()).toMatchObject({ works: 'The colour.' })
  expect((await guest.json('POST', `${on}/question`, { question: 'And the sky?' })).status).toBe(200)
  // By the call's page alone more can come in.
  const more = await guest.handIn(await painted(8), { classId: String(call.classId) })
  expect([more.status, await more.text()]).toEqual([422, expect.stringMatching(/by its own page/)])
  expect((await new Person().fetch(link, { method: 'DELETE' })).status).toBe(200)
  expect((await new Person().fetch(link)).status).toBe(404)
  for (const table of ['submissions WHERE id', 'pictures p JOIN submissions s ON s.picture_id = p.id WHERE s.id']) {
    const [rows] = await connection.query(`SELECT COUNT(*) AS n FROM ${table} = ?`, [submissionId])
    expect(rows).toEqual([{ n: 0 }])
  }
}, 60_000)

it('is chosen from by hand where the instructor chooses', async () => {
  const call = await opened({ ordered: 'chosen', most: 1 }),
    links = await Promise.all(
      [1, 2].map(async n =>
        linkOf(await sendTo(call.path, { picture: await painted(n), email: `c${n}-${mark}@x.example` }))
      )
    )
  for (const link of links) await new Person().json('POST', `${link}/confirm`)
  const [one, two] = (await listed(call.id))!.entries,
    choose = (id: number, take: boolean) => holder.json('PUT', `/calls/${call.id}/entries/${id}`, { take })
  expect((await choose(one!.id, true)).status).toBe(200)
  expect((await choose(one!.id, true)).status).toBe(409)
  expect(await (await choose(two!.id, true)).text()).toMatch(/All 1 places/)
  expect((await choose(two!.id, false)).status).toBe(200)
  expect((await Promise.all(links.map(entryAt))).map(e => e.state).sort()).toEqual(['passed', 'taken'])
  // Taken off by the instructor: it is gone, for the desk and for the guest.
  const { submissionId } = (await listed(call.id))!.entries.find(e => e.id === one!.id)!
  expect((await other.json('DELETE', `/calls/${call.id}/entries/${one!.id}`)).status).toBe(404)
  expect((await holder.json('DELETE', `/calls/${call.id}/entries/${one!.id}`)).status).toBe(200)
  expect((await holder.fetch(`/submissions/${submissionId}`)).status).toBe(404)
  expect((await listed(call.id))!.entries.map(e => e.id)).toEqual([two!.id])
}, 60_000)
