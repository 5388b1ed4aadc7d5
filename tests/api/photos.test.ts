/** A photograph of a sheet: laid flat from the original's pixels, white taken from its paper, said where it is seen. */
import { afterAll, beforeAll, expect, it } from 'vitest'
import sharp from 'sharp'
import { through, type Point } from '../../core/numeric/homography'
import { NO_STEPS, type PhotoSteps } from '../../core/photo/steps'
import { flatMap } from '../../core/photo/straighten'
import { findStrip } from '../../core/photo/strip/find'
import { SEEING } from '../../shared/printed-marks'
import { submissionSchema, type Submission } from '../../shared/pieces/submission'
import { boundsOf, cornersOf } from '../../core/picture/area'
import { critiqueSchema } from '../../shared/critique'
import { enrol, newAccount, newClass } from '../people'
import { photographedBesideStrip, photographedPiece, type PhotographedPiece } from '../photos/photographed'
import { database, keptBytes, Person } from './client'
import { correction } from './routes'

const mark = Date.now().toString(36),
  password = 'grey-heron-lamp',
  email = (key: string): string => `${key}-${mark}@school.example`
let connection: Awaited<ReturnType<typeof database>>, teacher: Person, lena: Person, classId: number
let photo: PhotographedPiece, steps: PhotoSteps

beforeAll(async () => {
  connection = await database()
  const reed = await newAccount(connection, { email: email('reed'), name: 'Reed', password, house: 'instructor' })
  classId = await newClass(connection, `Photographs ${mark}`, reed)
  await enrol(connection, {
    classId,
    accountId: await newAccount(connection, { email: email('lena'), name: 'Lena', password })
  })
  ;[teacher, lena] = (await Promise.all(['reed', 'lena'].map(key => Person.signedIn(email(key), { password })))) as [
    Person,
    Person
  ]
  photo = await photographedPiece('lemons')
  const { width, height } = await sharp(photo.jpeg).metadata(),
    at = through(flatMap(photo.corners, { width, height })!, { x: 0.5, y: photo.work.margin / 2 })
  steps = { ...NO_STEPS, corners: photo.corners, known: { x: at.x / width, y: at.y / height, as: 'white' } }
}, 60_000)
afterAll(() => connection.end())

const handIn = (words: Record<string, string>) =>
  lena.handIn(photo.jpeg, { classId: String(classId), title: 'Photographed', ...words })
async function handedIn(words: Record<string, string>): Promise<Submission> {
  const answer = await handIn(words)
  expect(answer.status, await answer.clone().text()).toBe(200)
  const { id } = (await answer.json()) as { id: number }
  await lena.measured(id)
  return submissionSchema.parse(await (await teacher.fetch(`/submissions/${id}`)).json())
}
async function sizeOf(
  id: number,
  size: 'display' | 'full'
): Promise<{ width: number; height: number; mean: number[] }> {
  const bytes = Buffer.from(await (await teacher.fetch(`/submissions/${id}/picture/${size}`)).arrayBuffer()),
    { width, height } = await sharp(bytes).metadata(),
    { channels } = await sharp(bytes).stats()
  return { width, height, mean: channels.slice(0, 3).map(c => c.mean) }
}

it('is measured and shown as the sheet, and says what was done', async () => {
  const piece = await handedIn({ steps: JSON.stringify(steps) }),
    ratio = photo.work.raster.width / photo.work.raster.height
  expect(piece.photo?.done).toMatch(/^straightened; white taken from the paper, the light was warm; light fall-off of/)
  const shown = await sizeOf(piece.id, 'display'),
    full = await sizeOf(piece.id, 'full')
  for (const { width, height } of [shown, full, piece]) expect(Math.abs(width / height / ratio - 1)).toBeLessThan(0.03)
  // As many pixels as the sheet has in the photograph, no more.
  expect([full.width, full.height]).toEqual([piece.width, piece.height])
  // Warm as photographed; as the sheet is, once white was taken from its paper.
  const truth = await sharp(photo.work.raster.data, { raw: { ...photo.work.raster, channels: 4 } }).stats()
  shown.mean.forEach((mean, c) => expect(Math.abs(mean - truth.channels[c]!.mean)).toBeLessThan(9))
  const [rows] = await connection.query(
    'SELECT p.original_sha AS sha FROM submissions s JOIN pictures p ON p.id = s.picture_id WHERE s.id = ?',
    [piece.id]
  )
  const { width, height } = await sharp(await keptBytes(connection, (rows as { sha: string }[])[0]!.sha)).metadata()
  expect([width, height]).toEqual([1400, 1050])
}, 60_000)

it('is doubted where it has a cast and no white was pointed out, by the readings that rest on colour', async () => {
  const piece = await handedIn({ steps: JSON.stringify({ ...steps, known: null }) })
  expect(piece.photo).toMatchObject({ done: 'straightened' })
  expect(piece.photo!.doubts.join(' ')).toMatch(/Pick something that is white/)
  const report = piece.measurement.state === 'done' ? piece.measurement.report : null
  expect(report?.picture.shaken).toContain('cast')
}, 60_000)

it('comes out right by the printed strip, which is printed here; one that cannot be read is refused', async () => {
  const page = await lena.fetch('/printer/strip?paper=letter')
  expect(page.headers.get('content-type')).toBe('application/pdf')
  expect(Buffer.from(await page.arrayBuffer()).toString('latin1')).toMatch(/^%PDF-/)
  const beside = await photographedBesideStrip('lemons'),
    strip = findStrip(beside.photo, SEEING)!
  const send = (place: readonly Point[]) =>
    lena.handIn(beside.jpeg, {
      classId: String(classId),
      title: 'Beside a strip',
      steps: JSON.stringify({ ...NO_STEPS, corners: beside.corners, strip: place })
    })
  const answer = await send(strip)
  expect(answer.status, await answer.clone().text()).toBe(200)
  const { id } = (await answer.json()) as { id: number },
    piece = submissionSchema.parse(await (await teacher.fetch(`/submissions/${id}`)).json())
  expect(piece.photo?.done).toMatch(/colours brought right by the printed strip, from 1\d\.\d off to [01]\.\d \(ΔE00\)/)
  const elsewhere = await send(strip.map(({ x, y }) => ({ x, y: y - 0.4 })))
  expect([elsewhere.status, await elsewhere.text()]).toEqual([422, expect.stringMatching(/printed strip/)])
}, 60_000)

it('is laid otherwise at the desk: what was drawn moves along; not over another window or after release', async () => {
  const { id } = await handedIn({}),
    on = `/submissions/${id}`,
    // A quarter of the sheet, drawn on the whole photograph.
    place = photo.corners.map(({ x, y }) => [x, y] as const),
    [top, right, , left] = place.map(([x, y]) => [(place[0]![0] + x) / 2, (place[0]![1] + y) / 2] as const)
  const middle = [0, 1].map(c => place.reduce((sum, p) => sum + p[c]!, 0) / 4)
  await teacher.json('POST', `${on}/areas`, {
    name: 'quarter',
    area: { kind: 'polygon', points: [top, right, middle, left] }
  })
  await teacher.json('POST', `${on}/areas`, {
    name: 'table',
    area: { kind: 'rectangle', x: 0, y: 0, w: 0.05, h: 0.05 }
  })
  await teacher.json('POST', `${on}/corrections`, {
    ...correction,
    mark: { kind: 'point', at: middle },
    area: { kind: 'rectangle', x: middle[0]! - 0.02, y: middle[1]! - 0.02, w: 0.04, h: 0.04 }
  })
  const change = (steps: PhotoSteps | null, over: PhotoSteps | null) =>
    teacher.json('PUT', `${on}/photo/steps`, { steps, over })
  expect((await change(steps, null)).status).toBe(200)
  expect((await change(null, null)).status).toBe(409)
  const critique = critiqueSchema.parse(await (await teacher.fetch(`${on}/critique`)).json()),
    [drawn] = critique.areas
  expect(critique.areas.map(a => a.name)).toEqual(['quarter'])
  const { x, y, w, h } = boundsOf(drawn!.area)
  // The middle of a sheet in perspective is not that of its photograph: a tenth is what the tilt of this one does.
  for (const [is, truth] of [
    [x, 0],
    [y, 0],
    [w, 0.5],
    [h, 0.5]
  ] as const)
    expect(Math.abs(is - truth)).toBeLessThan(0.1)
  const { mark } = critique.corrections[0]!
  for (const v of mark?.kind === 'point' ? mark.at : [0, 0]) expect(Math.abs(v - 0.5)).toBeLessThan(0.1)
  const piece = submissionSchema.parse(await (await teacher.fetch(on)).json())
  expect(piece.photo?.done).toMatch(/^straightened; white taken/)
  expect((await sizeOf(id, 'full')).width).toBe(piece.width)
  // The photograph itself is still there, and back it goes.
  const whole = await sharp(Buffer.from(await (await teacher.fetch(`${on}/photo`)).arrayBuffer())).metadata()
  expect([whole.width, whole.height]).toEqual([1400, 1050])
  expect((await change(null, steps)).status).toBe(200)
  const back = critiqueSchema.parse(await (await teacher.fetch(`${on}/critique`)).json()).areas[0]!.area
  cornersOf(back).forEach(([bx, by], i) => {
    const [tx, ty] = [top, right, middle, left][i]!
    expect(Math.hypot(bx - tx!, by - ty!)).toBeLessThan(1e-6)
  })
  // What nothing shows any more is not kept: proportions that no other piece here has.
  const kept = async (): Promise<string[]> => {
    const [rows] = await connection.query(
      `SELECT p.display_sha, p.thumb_sha FROM submissions s JOIN pictures p ON p.id = s.picture_id WHERE s.id = ?`,
      [id]
    )
    return Object.values((rows as Record<string, string>[])[0]!)
  }
  const odd = { ...steps, ratio: 1 + (Date.now() % 100_000) / 1e6 }
  expect((await change(odd, null)).status).toBe(200)
  const before = await kept()
  expect((await change(null, odd)).status).toBe(200)
  const [still] = await connection.query('SELECT COUNT(*) AS n FROM blobs WHERE sha256 IN (?)', [before])
  expect(still).toEqual([{ n: 0 }])
  await lena.measured(id)
  await teacher.json('PUT', `${on}/verdict`, { works: 'The light.', verdict: 'Go on.', revision: critique.revision })
  expect((await teacher.json('POST', `${on}/release`)).status).toBe(200)
  expect((await change(steps, null)).status).toBe(409)
}, 60_000)

it('is taken as it is without steps; steps that cannot be done are refused in words, and nothing is kept', async () => {
  const before = await connection.query('SELECT COUNT(*) AS n FROM submissions')
  const plain = await handedIn({})
  expect([plain.photo, plain.width, plain.height]).toEqual([null, 1400, 1050])
  const line = [0.1, 0.2, 0.3, 0.4].map(x => ({ x, y: 0.5 }))
  for (const [wrong, said] of [
    [JSON.stringify({ ...steps, corners: line }), /no sheet’s/],
    [JSON.stringify({ ...steps, corners: photo.corners.slice(1) }), /all four corners/],
    ['{', /cannot be read/]
  ] as const) {
    const answer = await handIn({ steps: wrong })
    expect(answer.status).toBe(422)
    expect(await answer.text()).toMatch(said)
  }
  const after = await connection.query('SELECT COUNT(*) AS n FROM submissions')
  expect((after[0] as { n: number }[])[0]!.n).toBe((before[0] as { n: number }[])[0]!.n + 1)
}, 60_000)
