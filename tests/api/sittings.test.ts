/**
 * A call's pieces worked through in front of others: its own shelf, the order, the clock, the record, and who reads
 * it.
 */
import { afterAll, beforeAll, expect, it } from 'vitest'
import { entrySchema, type ListedCall } from '../../shared/call'
import { piecePageSchema, shelfTotalsSchema } from '../../shared/pieces/submission'
import { sittingSchema, type Sitting } from '../../shared/sitting'
import { newAccount } from '../people'
import { database, Person } from './client'
import { callWith, linkOf, painted, sendTo } from './guests'

const mark = Date.now().toString(36),
  password = 'grey-heron-lamp'
let connection: Awaited<ReturnType<typeof database>>, holder: Person, other: Person
let call: ListedCall, links: readonly string[]

beforeAll(async () => {
  connection = await database()
  for (const key of ['sitter', 'stranger'])
    await newAccount(connection, { email: `${key}-${mark}@school.example`, name: key, password, house: 'instructor' })
  ;[holder, other] = (await Promise.all(
    ['sitter', 'stranger'].map(key => Person.signedIn(`${key}-${mark}@school.example`, { password }))
  )) as [Person, Person]
  const pieces = await Promise.all(
    [1, 2, 3, 4].map(async n => ({
      title: `Piece ${n}`,
      name: `Guest s${n}`,
      email: `s${n}-${mark}@x.example`,
      named: n === 1,
      picture: await painted(n)
    }))
  )
  ;({ call, links } = await callWith(holder, `Session ${mark}`, pieces))
}, 60_000)
afterAll(() => connection.end())

const begin = async () =>
  ((await (await holder.json('POST', `/calls/${call.id}/sittings`)).json()) as { id: number }).id
const read = async (id: number): Promise<Sitting> =>
  sittingSchema.parse(await (await holder.fetch(`/sittings/${id}`)).json())
const titles = (s: Sitting): Record<string, string> => Object.fromEntries(s.pieces.map(p => [p.title, p.standing]))
const upTitle = (s: Sitting) => s.pieces.find(p => p.id === s.up)?.title ?? null
async function step(id: number, body: Record<string, unknown>): Promise<string | null> {
  const { up } = await read(id),
    answer = await holder.json('POST', `/sittings/${id}/step`, { up, ...body })
  expect(answer.status, await answer.clone().text()).toBe(200)
  return upTitle(await read(id))
}

it('hangs a call’s pieces on a shelf of their own, and on no other', async () => {
  const shelves = shelfTotalsSchema.parse(await (await holder.fetch('/shelves')).json())
  expect(shelves.counts.review).toBe(0)
  expect(shelves.calls).toMatchObject([{ id: call.id, waiting: 4, minutes: 24, session: 'wanted' }])
  const shelf = async (query: string) =>
    piecePageSchema.parse(await (await holder.fetch(`/submissions?shelf=${query}`)).json()).items.map(p => p.title)
  expect(await shelf('review')).toEqual([])
  expect(await shelf(`call&classId=${call.classId}`)).toEqual(['Piece 1', 'Piece 2', 'Piece 3', 'Piece 4'])
  expect(shelfTotalsSchema.parse(await (await other.fetch('/shelves')).json()).calls).toEqual([])
})

it('goes through them with a clock and a record, which their guests read when it has ended', async () => {
  const id = await begin()
  expect(await begin()).toBe(id)
  expect((await other.fetch(`/sittings/${id}`)).status).toBe(404)
  expect((await other.json('POST', `/sittings/${id}/end`)).status).toBe(404)
  const first = await read(id)
  expect([upTitle(first), first.paused, first.pieces[0]!.by, first.pieces[1]!.by]).toEqual([
    'Piece 1',
    true,
    expect.stringContaining('Guest'),
    null
  ])
  // Its piece says so on the bench, and no other does.
  const onBench = async (piece: number) =>
    ((await (await holder.fetch(`/submissions/${piece}`)).json()) as { sitting: number | null }).sitting
  expect([await onBench(first.up!), await onBench(first.pieces[1]!.id)]).toEqual([id, null])

  const write = (piece: number, said: string) => holder.json('PUT', `/sittings/${id}/said/${piece}`, { said })
  expect((await write(first.up!, 'The boat leads; let the sky be.')).status).toBe(200)
  expect(await step(id, { step: 'go-on' })).toBe('Piece 1')
  await connection.query('UPDATE sittings SET since = UTC_TIMESTAMP(3) - INTERVAL 90 SECOND WHERE id = ?', [id])
  expect(await step(id, { step: 'pause' })).toBe('Piece 1')
  const paused = await read(id)
  expect(paused.paused).toBe(true)
  expect(paused.pieces[0]!.seconds).toBeGreaterThanOrEqual(90)
  expect(paused.pieces[0]!.seconds).toBeLessThan(95)
  expect(await step(id, { step: 'go-on' })).toBe('Piece 1')

  expect(await step(id, { step: 'next' })).toBe('Piece 2')
  // A window that still sees the first.
  expect((await holder.json('POST', `/sittings/${id}/step`, { up: first.up, step: 'next' })).status).toBe(409)
  expect(await step(id, { step: 'later' })).toBe('Piece 3')
  expect(await step(id, { step: 'park' })).toBe('Piece 4')
  expect(await step(id, { step: 'next' })).toBe('Piece 2')
  const three = (await read(id)).pieces.find(p => p.title === 'Piece 3')!
  expect(await step(id, { pick: three.id })).toBe('Piece 3')
  expect(await step(id, { step: 'park' })).toBe('Piece 2')
  expect((await holder.json('POST', `/sittings/${id}/step`, { up: (await read(id)).up, pick: 999_999 })).status).toBe(
    404
  )

  const entry = async (n: number) => entrySchema.parse(await (await new Person().fetch(links[n]!)).json())
  expect((await entry(0)).said).toEqual([])
  expect((await holder.json('POST', `/sittings/${id}/end`)).status).toBe(200)
  expect((await holder.json('POST', `/sittings/${id}/end`)).status).toBe(409)
  // The one that hung for a moment, with nothing written, was not talked about.
  expect(titles(await read(id))).toEqual({
    'Piece 1': 'said',
    'Piece 2': 'waiting',
    'Piece 3': 'parked',
    'Piece 4': 'said'
  })
  expect((await entry(0)).said).toMatchObject([{ said: 'The boat leads; let the sky be.' }])
  expect((await entry(3)).said).toEqual([])
  const [mail] = await connection.query(
    "SELECT email FROM outbox WHERE subject LIKE '%was looked at' AND email LIKE ?",
    [`%-${mark}@x.example`]
  )
  expect(mail).toMatchObject([{ email: `s1-${mark}@x.example` }])
  expect(shelfTotalsSchema.parse(await (await holder.fetch('/shelves')).json()).calls).toMatchObject([
    { waiting: 2, session: 'wanted' }
  ])

  const again = await begin()
  expect(titles(await read(again))).toEqual({ 'Piece 2': 'waiting', 'Piece 3': 'waiting' })
  // What comes in meanwhile is brought in by going on.
  const late = await linkOf(await sendTo(call.path, { picture: await painted(9), email: `s9-${mark}@x.example` }))
  await new Person().json('POST', `${late}/confirm`)
  expect(await begin()).toBe(again)
  expect(Object.keys(titles(await read(again)))).toEqual(['Piece 2', 'Piece 3', 'From outside'])
  // A guest who takes theirs away takes it out of the session too.
  await new Person().fetch(links[1]!, { method: 'DELETE' })
  expect(Object.keys(titles(await read(again)))).toEqual(['Piece 3', 'From outside'])
  expect(await step(again, { pick: (await read(again)).pieces[0]!.id })).toBe('Piece 3')
}, 60_000)
