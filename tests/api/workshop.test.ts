/** The workshop's data: own paints, a class's list, the swatch book and its sheet, drills; and whose each of it is. */
import { afterAll, beforeAll, expect, it } from 'vitest'
import sharp from 'sharp'
import { DRILLS } from '../../core/drill/drills'
import { thresholdOf } from '../../core/drill/staircase'
import { linearOfHex } from '../../core/colour/srgb'
import { seededRandom } from '../../core/numeric/random'
import { swatchSheet } from '../../core/paint/sheet'
import { partsInWords } from '../../core/paint/told'
import { classDrillsSchema, drillRunSchema, MOST_PAINTS, workshopSchema, type Workshop } from '../../shared/workshop'
import { enrol, newAccount, newClass } from '../people'
import { PLAIN_SHOT } from '../sheets/filled'
import { paint, printed } from '../sheets/painter'
import { photograph } from '../sheets/photographer'
import { database, Person } from './client'

const mark = Date.now().toString(36),
  password = 'grey-heron-lamp'
let connection: Awaited<ReturnType<typeof database>>, classId: number
let teacher: Person, learner: Person, stranger: Person, learnerId: number

beforeAll(async () => {
  connection = await database()
  const account = (key: string, house?: 'instructor') =>
    newAccount(connection, { email: `${key}-${mark}@mix.example`, name: key, password, house })
  const teacherId = await account('mixer', 'instructor')
  learnerId = await account('dabbler')
  await account('passer')
  classId = await newClass(connection, `Mixing ${mark}`, teacherId)
  await enrol(connection, { classId, accountId: learnerId })
  ;[teacher, learner, stranger] = (await Promise.all(
    ['mixer', 'dabbler', 'passer'].map(key => Person.signedIn(`${key}-${mark}@mix.example`, { password }))
  )) as [Person, Person, Person]
}, 60_000)
afterAll(() => connection.end())

const RED = { name: 'a red', medium: 'oil', pigment: 'PR254', masstone: '#d4372c', tint: '#f5bdb5' }
const BLUE = { ...RED, name: 'a blue', pigment: 'PB29', masstone: '#1f2a86', tint: null }
const workshopOf = async (who: Person): Promise<Workshop> =>
  workshopSchema.parse(await (await who.fetch('/workshop')).json())
const sentence = async (response: Response): Promise<string> =>
  ((await response.json()) as { error: { message: string } }).error.message

it('keeps paints with their tints, changed and taken out by nobody else', async () => {
  expect((await learner.json('POST', '/workshop/paints', { paints: [RED, BLUE] })).status).toBe(200)
  const { paints, wheel } = await workshopOf(learner)
  expect(paints).toMatchObject([RED, BLUE])
  expect(wheel).toBe('painter')
  const [{ id }] = paints
  expect((await stranger.json('PUT', `/workshop/paints/${id}`, BLUE)).status).toBe(404)
  expect((await stranger.json('DELETE', `/workshop/paints/${id}`)).status).toBe(404)
  expect((await learner.json('PUT', `/workshop/paints/${id}`, { ...RED, name: 'my red' })).status).toBe(200)
  expect((await workshopOf(learner)).paints[0]!.name).toBe('my red')
  expect((await workshopOf(stranger)).paints).toEqual([])
})

it('refuses a box that is no box, in words, and keeps what is there', async () => {
  const many = Array.from({ length: MOST_PAINTS - 1 }, (_, i) => ({ ...RED, name: `red ${i}` }))
  expect(await sentence(await learner.json('POST', '/workshop/paints', { paints: many }))).toContain(
    '120 paints at most'
  )
  expect(
    await sentence(await learner.json('POST', '/workshop/paints', { paints: [{ ...RED, masstone: 'red' }] }))
  ).toContain('not a colour')
  expect(await sentence(await learner.json('POST', '/workshop/paints', { paints: [{ ...RED, name: ' ' }] }))).toContain(
    'name'
  )
  expect((await workshopOf(learner)).paints).toHaveLength(2)
})

it('gives a class one list, set by its instructor and read by its learners', async () => {
  expect((await learner.json('PUT', `/classes/${classId}/paints`, { paints: [RED] })).status).toBe(403)
  expect((await stranger.json('PUT', `/classes/${classId}/paints`, { paints: [RED] })).status).toBe(403)
  expect((await teacher.json('PUT', `/classes/${classId}/paints`, { paints: [RED, BLUE] })).status).toBe(200)
  expect((await teacher.json('PUT', `/classes/${classId}/paints`, { paints: [BLUE] })).status).toBe(200)
  expect((await workshopOf(learner)).lists).toMatchObject([{ classId, mayChange: false, paints: [BLUE] }])
  expect((await workshopOf(teacher)).lists).toMatchObject([{ classId, mayChange: true }])
  expect((await workshopOf(stranger)).lists).toEqual([])
})

it('prints the book with boxes to paint beside, and reads what they gave', async () => {
  const parts = [
    { name: 'a red', masstone: RED.masstone, tint: RED.tint, parts: 2 },
    { name: 'a blue', masstone: BLUE.masstone, tint: null, parts: 1 }
  ]
  const keep = async (hex: string): Promise<number> =>
    (
      (await (
        await learner.json('POST', '/workshop/swatches', { kind: 'mixture', hexes: [hex], parts, note: '' })
      ).json()) as {
        id: number
      }
    ).id
  const ids = [await keep('#5a2a44'), await keep('#8a3040')]
  const pdf = await learner.fetch('/workshop/sheet')
  expect(pdf.headers.get('content-type')).toBe('application/pdf')
  expect(
    Buffer.from(await pdf.arrayBuffer())
      .subarray(0, 5)
      .toString()
  ).toBe('%PDF-')
  const sheet = swatchSheet(
      'a4',
      ids.map(id => ({ id, hex: '#5a2a44', words: partsInWords(parts) }))
    ),
    fills = new Map(sheet.boxes.map(box => [box.name, linearOfHex('#6a4038')])),
    flat = paint(await printed(sheet), { boxes: sheet.boxes, fills }, seededRandom(3)),
    { jpeg } = await photograph(flat, PLAIN_SHOT, seededRandom(4))
  const form = (bytes: Buffer): FormData => {
    const body = new FormData()
    body.append('picture', new Blob([new Uint8Array(bytes)]), 'sheet.jpg')
    return body
  }
  const send = (who: Person, bytes: Buffer) => who.fetch('/workshop/sheet', { method: 'POST', body: form(bytes) })
  expect(await sentence(await send(stranger, jpeg))).toContain('somebody else')
  const plain = await sharp({ create: { width: 900, height: 700, channels: 3, background: '#c8c8c8' } })
    .jpeg()
    .toBuffer()
  expect(await sentence(await send(learner, plain))).toContain('No swatch sheet is found')
  const answer = await send(learner, jpeg)
  expect(await answer.clone().text()).toBe('{"read":2}')
  const { swatches } = await workshopOf(learner)
  expect(swatches.map(s => s.id).sort()).toEqual(ids)
  for (const { read } of swatches) {
    const off = [1, 3, 5].map(i =>
      Math.abs(parseInt(read!.hex.slice(i, i + 2), 16) - parseInt('#6a4038'.slice(i, i + 2), 16))
    )
    expect(Math.max(...off)).toBeLessThan(16)
  }
  // Read once, it is not asked for again; said to be wrong, it is.
  expect(await sentence(await learner.fetch('/workshop/sheet'))).toContain('read already')
  expect((await stranger.json('PUT', `/workshop/swatches/${ids[0]}`, { read: null })).status).toBe(404)
  await learner.json('PUT', `/workshop/swatches/${ids[0]}`, { read: null })
  expect((await learner.fetch('/workshop/sheet')).status).toBe(200)
}, 60_000)

it('reckons a drill from its answers, and shows it to its maker and the class’s staff alone', async () => {
  const { asked, questions, settings } = DRILLS.value,
    answers = Array.from({ length: questions }, (_, i) => ({ difference: 4 + (i % 5), right: i % 4 !== 0 })),
    run = {
      drill: 'value',
      setting: settings[0],
      wheel: 'painter',
      answers,
      conditions: { black: 3, white: 4, gamma: 2.2, room: 'daylight' }
    }
  const kept = drillRunSchema.parse(await (await learner.json('POST', '/workshop/drills', run)).json())
  expect(kept.threshold).toBeCloseTo(thresholdOf(asked, answers).threshold, 6)
  expect(kept.low).toBeLessThan(kept.threshold)
  const short = { ...run, answers: answers.slice(1) }
  expect(await sentence(await learner.json('POST', '/workshop/drills', short))).toContain('to its end')
  expect(await sentence(await learner.json('POST', '/workshop/drills', { ...run, setting: 'x' }))).toContain(
    'no such drill'
  )
  const of = classDrillsSchema.parse(await (await teacher.fetch(`/classes/${classId}/drills`)).json())
  expect(of).toMatchObject([{ id: learnerId, runs: [{ id: kept.id }] }])
  expect((await learner.fetch(`/classes/${classId}/drills`)).status).toBe(403)
  expect((await (await stranger.fetch('/workshop/drills')).json()) as unknown[]).toEqual([])
})
