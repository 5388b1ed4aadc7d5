/** A piece handed in again: found on the old one, measured where it was marked, carried over, told to its learner. */
import { afterAll, beforeAll, expect, it } from 'vitest'
import sharp from 'sharp'
import type { RowDataPacket } from 'mysql2/promise'
import { pieceNamed } from '../../demo/manifest'
import { renderPiece } from '../../demo/render'
import { LIGHTSHIP, LIGHTSHIP_AGAIN, LIGHTSHIP_MARKS } from '../../demo/versions'
import { critiqueSchema, FOCUS_NAME } from '../../shared/critique'
import { submissionSchema } from '../../shared/pieces/submission'
import { comparedSchema, versionListSchema, type Compared } from '../../shared/pieces/versions'
import { enrol, newAccount, newClass } from '../people'
import { database, Person } from './client'

const mark = Date.now().toString(36),
  password = 'grey-heron-lamp',
  email = (key: string): string => `${key}-${mark}@school.example`
let connection: Awaited<ReturnType<typeof database>>, teacher: Person, lena: Person, other: Person, classId: number
let first: number, second: number

const FOCUS = { name: FOCUS_NAME, area: { kind: 'rectangle', x: 0.3, y: 0.45, w: 0.45, h: 0.25 } } as const

beforeAll(async () => {
  connection = await database()
  const reed = await newAccount(connection, { email: email('reed'), name: 'Reed', password, house: 'instructor' })
  classId = await newClass(connection, `Versions ${mark}`, reed)
  for (const name of ['Lena', 'Otis'])
    await enrol(connection, {
      classId,
      accountId: await newAccount(connection, { email: email(name), name, password })
    })
  ;[teacher, lena, other] = (await Promise.all(
    ['reed', 'Lena', 'Otis'].map(key => Person.signedIn(email(key), { password }))
  )) as [Person, Person, Person]
  first = await handedIn(await renderPiece(LIGHTSHIP))
  await teacher.json('POST', `/submissions/${first}/areas`, FOCUS)
  for (const correction of LIGHTSHIP_MARKS)
    expect((await teacher.json('POST', `/submissions/${first}/corrections`, correction)).status).toBe(200)
  expect((await teacher.json('POST', `/submissions/${first}/release`)).status).toBe(200)
}, 60_000)
afterAll(() => connection.end())

async function handedIn(picture: Buffer, words: Record<string, string> = {}): Promise<number> {
  const answer = await lena.handIn(picture, { classId: String(classId), title: 'The lightship', ...words })
  expect(answer.status, await answer.clone().text()).toBe(200)
  const { id } = (await answer.json()) as { id: number }
  await lena.measured(id)
  return id
}
async function over(person: Person, newer: number, older: number): Promise<Compared> {
  const answer = await person.fetch(`/submissions/${newer}/over/${older}`)
  expect(answer.status).toBe(200)
  return comparedSchema.parse(await answer.json())
}
const critiqueOf = async (person: Person, id: number) =>
  critiqueSchema.parse(await (await person.fetch(`/submissions/${id}/critique`)).json())

it('is a version of the same piece, for whoever may see it', async () => {
  second = await handedIn(await renderPiece(LIGHTSHIP_AGAIN), { earlierId: String(first) })
  const versions = versionListSchema.parse(await (await teacher.fetch(`/submissions/${first}/versions`)).json())
  expect(versions.map(v => [v.id, v.number, v.state])).toEqual([
    [first, 1, 'released'],
    [second, 2, 'waiting']
  ])
  const piece = submissionSchema.parse(await (await lena.fetch(`/submissions/${second}`)).json())
  expect([piece.version, piece.earlierId]).toEqual([2, first])
  expect((await other.fetch(`/submissions/${second}/over/${first}`)).status).toBe(404)
  expect((await teacher.fetch(`/submissions/${first}/over/${second}`)).status).toBe(404)
  // Nobody hands in a version of what is somebody else's.
  const stolen = await other.handIn(await renderPiece(LIGHTSHIP), {
    classId: String(classId),
    earlierId: String(first)
  })
  expect(stolen.status).toBe(404)
}, 60_000)

it('lies where it was photographed, and says what landed; the learner hears nothing before the release', async () => {
  const { comparison, corrections } = await over(teacher, second, first)
  expect(comparison.registration.match).toBe('sure')
  // Within 1 % of the diagonal of where the demo's photograph has it: turned about the middle, each side cut.
  const { turn, lost } = LIGHTSHIP_AGAIN.photographed!,
    angle = (turn * Math.PI) / 180,
    [w, h] = [1280, 960],
    [across, down] = [w * (1 - 2 * lost), h * (1 - 2 * lost)]
  for (const [i, [x, y]] of [[-w, -h] as const, [w, -h] as const, [w, h] as const, [-w, h] as const].entries()) {
    const { x: foundX, y: foundY } = comparison.registration.corners![i]!
    const off = [
      (foundX - 0.5) * across - (x * Math.cos(angle) - y * Math.sin(angle)) / 2,
      (foundY - 0.5) * down - (x * Math.sin(angle) + y * Math.cos(angle)) / 2
    ]
    expect(Math.hypot(...off) / Math.hypot(across, down), `corner ${i}`).toBeLessThan(0.01)
  }
  expect(comparison.light!.sure).toBe(true)
  expect(comparison.light!.stops).toBeCloseTo(0.36, 1)
  expect(corrections.map(c => c.evened!.landing)).toEqual(['reached', 'nearer', 'cannot-tell'])
  const hers = await over(lena, second, first)
  expect([hers.corrections, hers.comparison.seen.moved, hers.comparison.evened]).toEqual([[], [], null])
  expect(hers.comparison.registration.match).toBe('sure')
}, 60_000)

it('has what was drawn on the older one at its place', async () => {
  const { areas } = await critiqueOf(teacher, second),
    { registration } = (await over(teacher, second, first)).comparison
  expect(areas.map(a => a.name)).toEqual([FOCUS_NAME])
  const { area } = areas[0]!
  if (area.kind !== 'polygon') throw new Error('a turned rectangle is a polygon')
  const [left] = registration.corners!
  // Its own corner, three tenths across and something over four tenths down from the picture's.
  expect(Math.hypot(area.points[0]![0] - left!.x, area.points[0]![1] - left!.y)).toBeCloseTo(
    Math.hypot(0.3, 0.45) / 0.94,
    1
  )
})

it('the instructor’s word holds; what is open is carried over once, with its history', async () => {
  const before = await over(teacher, second, first),
    [ship, range, pennant] = before.corrections.map(c => c.correction.id)
  const say = (id: number, landing: string | null) =>
    teacher.json('PUT', `/submissions/${second}/over/${first}/landings/${id}`, { landing })
  expect((await say(range!, 'reached')).status).toBe(200)
  expect((await say(ship!, 'worse')).status).toBe(200)
  expect((await say(ship!, null)).status).toBe(200)
  expect((await say(9_999_999, 'reached')).status).toBe(404)
  const carry = { corrections: [pennant] }
  for (const carried of [1, 0]) {
    const answer = await teacher.json('POST', `/submissions/${second}/over/${first}/carry`, carry)
    expect(await answer.json()).toEqual({ carried })
  }
  const after = await over(teacher, second, first)
  expect(after.corrections.map(c => [c.word, c.carried])).toEqual([
    [null, false],
    ['reached', false],
    [null, true]
  ])
  const { corrections } = await critiqueOf(teacher, second)
  expect(corrections.map(c => [c.what, c.marked, c.carriedFrom])).toEqual([[LIGHTSHIP_MARKS[2]!.what, 2, pennant]])
  expect((await teacher.json('POST', `/submissions/${second}/release`)).status).toBe(200)
  const hers = await over(lena, second, first)
  expect(hers.corrections.map(c => c.word)).toEqual([null, 'reached', null])
  // What is released stays as it is said.
  expect((await say(range!, 'worse')).status).toBe(409)
})

it('another picture is said to be one; four points set by hand lay it all the same, and are kept', async () => {
  const third = await handedIn(await renderPiece(pieceNamed('market')), { earlierId: String(second) }),
    found = await over(teacher, third, second)
  expect([found.comparison.registration.match, found.byHand]).toEqual(['another', false])
  expect(found.corrections.map(c => c.seen.landing)).toEqual(['cannot-tell'])
  const corners = [
    { x: 0.1, y: 0.1 },
    { x: 0.9, y: 0.1 },
    { x: 0.9, y: 0.9 },
    { x: 0.1, y: 0.9 }
  ]
  const path = `/submissions/${third}/over/${second}/corners`
  expect((await lena.json('PUT', path, { corners: corners.slice(1) })).status).toBe(422)
  expect((await lena.json('PUT', path, { corners })).status).toBe(200)
  const laid = await over(teacher, third, second)
  expect([laid.byHand, laid.comparison.registration.corners]).toEqual([true, corners])
  // Any two of several.
  expect((await over(teacher, third, first)).old.number).toBe(1)
  expect((await lena.json('PUT', path, { corners: null })).status).toBe(200)
  expect((await over(teacher, third, second)).comparison.registration.match).toBe('another')
}, 60_000)

it('two twelve-megapixel photographs are taken in, and compared telling how far it is', async () => {
  const large = (picture: Buffer) => sharp(picture).resize(4000, 3000, { fit: 'fill' }).jpeg({ quality: 88 }).toBuffer()
  const old = await handedIn(await large(await renderPiece(LIGHTSHIP))),
    next = await handedIn(await large(await renderPiece(LIGHTSHIP_AGAIN)), { earlierId: String(old) })
  // What was measured behind the hand-in is forgotten: the telling is of a measuring.
  await connection.query<RowDataPacket[]>('UPDATE comparisons SET basis = NULL WHERE new_id = ?', [next])
  const start = performance.now(),
    answer = await teacher.fetch(`/submissions/${next}/over/${old}`, { headers: { accept: 'application/x-ndjson' } }),
    lines = (await answer.text())
      .trim()
      .split('\n')
      .map(line => JSON.parse(line) as { told?: number; answer?: unknown })
  console.log(`two of twelve megapixels compared in ${Math.round(performance.now() - start)} ms`)
  const told = lines.flatMap(l => l.told ?? [])
  expect(told.length).toBeGreaterThan(3)
  expect(told).toEqual([...told].sort((p, q) => p - q))
  expect(comparedSchema.parse(lines.at(-1)!.answer).comparison.registration.match).toBe('sure')
}, 90_000)
