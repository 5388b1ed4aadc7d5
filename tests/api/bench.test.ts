/** What the bench keeps: notes, house standards, a reference, a closer look, the learner's pointed-out focus. */
import { readFileSync } from 'node:fs'
import type { RowDataPacket } from 'mysql2/promise'
import sharp from 'sharp'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { DEFAULT_RUBRIC } from '../../core/critique/rubric'
import { DEFAULT_STANDARDS } from '../../core/critique/standards'
import { critiqueSchema, type Critique } from '../../shared/critique'
import { statementsOf } from '../../server/db/migrate'
import { fingerprintSchema, piecePageSchema, shelfTotalsSchema, submissionSchema } from '../../shared/pieces/submission'
import { keeper, Person, picture } from './client'

let tamsin: Person, rosa: Person
const critiqueOf = async (person: Person, id: number): Promise<Critique> =>
  critiqueSchema.parse(await (await person.fetch(`/submissions/${id}/critique`)).json())
const handedIn = async (file: Buffer, words: Record<string, string> = {}, reference?: Buffer): Promise<number> => {
  const form = new FormData()
  for (const [name, value] of Object.entries({
    classId: '1',
    title: 'Bench piece',
    stage: 'study',
    medium: '',
    question: '',
    about: '',
    plannedScheme: '',
    ...words
  }))
    form.append(name, value)
  form.append('picture', new Blob([new Uint8Array(file)]), 'piece.png')
  if (reference) form.append('reference', new Blob([new Uint8Array(reference)]), 'reference.png')
  const response = await rosa.fetch('/submissions', { method: 'POST', body: form })
  const body = (await response.json()) as { id: number; error?: { message: string } }
  if (!response.ok) throw new Error(body.error?.message)
  return body.id
}

beforeAll(async () => {
  tamsin = await Person.signedIn('tamsin')
  rosa = await Person.signedIn('rosa')
})

describe('notes', () => {
  it('are changed part by part, and two windows writing different parts lose neither', async () => {
    const id = await handedIn(await picture())
    await Promise.all([
      tamsin.json('PUT', `/submissions/${id}/notes`, { about: 'The corner' }),
      tamsin.json('PUT', `/submissions/${id}/notes`, { firstEye: { x: 0.2, y: 0.1 } }),
      tamsin.json('PUT', `/submissions/${id}/notes`, { visited: ['values'] })
    ])
    expect((await critiqueOf(tamsin, id)).notes).toMatchObject({
      about: 'The corner',
      firstEye: { x: 0.2, y: 0.1 },
      visited: ['values'],
      pairs: []
    })
  })

  it('never reach the learner, and are refused when they make no sense or the critique is released', async () => {
    expect(
      await tamsin.json('PUT', '/submissions/1/notes', { pairs: [{ name: '', lit: { x: 0.5, y: 0.5 }, shadow: null }] })
    ).toMatchObject({ status: 422 })
    expect(await tamsin.json('PUT', '/submissions/1/notes', { firstEye: { x: 2, y: 0 } })).toMatchObject({
      status: 422
    })
    expect(await tamsin.json('PUT', '/submissions/11/notes', { about: 'too late' })).toMatchObject({ status: 409 })
    const ada = await Person.signedIn('ada')
    expect((await critiqueOf(ada, 11)).notes).toEqual({
      visited: [],
      firstEye: null,
      wholeFile: false,
      noFaces: false,
      about: '',
      judged: [],
      pairs: [],
      surroundings: null,
      stops: []
    })
  })
})

describe('house standards', () => {
  afterAll(() => tamsin.json('PUT', '/classes/1/standards', null))

  it('belong to the class, come with every critique of it, and go back to the shipped ones', async () => {
    const own = { ...DEFAULT_STANDARDS, range: { full: 60, moderate: 40 }, black: 'with-intent' }
    expect((await tamsin.json('PUT', '/classes/1/standards', own)).status).toBe(200)
    expect((await critiqueOf(tamsin, 2)).standards).toEqual(own)
    await tamsin.json('PUT', '/classes/1/standards', null)
    expect(await (await tamsin.fetch('/classes/1/standards')).json()).toEqual(DEFAULT_STANDARDS)
  })

  it('are refused with the reason when they contradict themselves', async () => {
    const response = await tamsin.json('PUT', '/classes/1/standards', {
      ...DEFAULT_STANDARDS,
      range: { full: 40, moderate: 50 }
    })
    expect([response.status, (await response.json()).error.message]).toEqual([
      422,
      expect.stringContaining('wider than a moderate one')
    ])
  })
})

describe('pictures', () => {
  it('are shown to the last pixel, upright, without the place they were taken at', async () => {
    const file = await sharp({ create: { width: 2400, height: 1500, channels: 3, background: '#2a71b0' } })
      .withExif({ IFD0: { Model: 'Pocket camera' }, IFD3: { GPSLatitude: '50/1 22/1 0/1' } })
      .withMetadata({ orientation: 6 })
      .jpeg()
      .toBuffer()
    const id = await handedIn(file)
    const full = Buffer.from(await (await tamsin.fetch(`/submissions/${id}/picture/full`)).arrayBuffer()),
      meta = await sharp(full).metadata()
    expect([meta.width, meta.height, meta.exif, meta.orientation]).toEqual([1500, 2400, undefined, undefined])
    expect(full.includes('Pocket camera')).toBe(false)
    const again = await tamsin.fetch(`/submissions/${id}/picture/full`)
    expect(Buffer.from(await again.arrayBuffer()).equals(full)).toBe(true)
  })

  it('bring their reference, or none', async () => {
    const id = await handedIn(await picture(), {}, await picture(60, 90, '#20384c'))
    expect(await (await tamsin.fetch(`/submissions/${id}`)).json()).toMatchObject({ hasReference: true })
    const meta = await sharp(
      Buffer.from(await (await tamsin.fetch(`/submissions/${id}/picture/reference`)).arrayBuffer())
    ).metadata()
    expect([meta.width, meta.height]).toEqual([60, 90])
    expect((await tamsin.fetch('/submissions/1/picture/reference')).status).toBe(404)
    await expect(handedIn(await picture(), {}, Buffer.from('no picture'))).rejects.toThrow(
      'not a picture that can be read here'
    )
  })

  it("bring the learner's focus to the bench", async () => {
    const id = await handedIn(await picture(), { focusX: '0.95', focusY: '0.4' })
    expect((await critiqueOf(tamsin, id)).areas).toMatchObject([
      { name: 'the focus', area: { kind: 'rectangle', x: 0.8, y: expect.closeTo(0.3), w: 0.2, h: 0.2 } }
    ])
  })
})

describe('the desk', () => {
  it('is sent each piece with its range and colours as they were measured, and not the whole report', async () => {
    const id = await handedIn(await picture())
    await tamsin.measured(id)
    const text = await (await tamsin.fetch('/submissions?shelf=review&most=100')).text(),
      listed = piecePageSchema.parse(JSON.parse(text)).items.find(p => p.id === id)!
    const { measurement } = submissionSchema.parse(await (await tamsin.fetch(`/submissions/${id}`)).json())
    if (measurement.state !== 'done' || listed.measurement.state !== 'done') throw new Error('not measured')
    const { value, harmony, wheel } = measurement.report
    expect(listed.measurement.fingerprint).toMatchObject({
      wheel,
      range: (value as { range: number }).range,
      darkest: (value as { darkest: number }).darkest
    })
    expect(listed.measurement.fingerprint!.families.map(f => f.step)).toEqual(
      (harmony as { families: { step: string }[] }).families.map(f => f.step)
    )
    expect(text).not.toContain('"peaks"')
  })

  it('comes in windows that hold while pieces come, none missing or twice, and with totals of the whole', async () => {
    const walked: number[] = []
    for (let after = '', more = true; more;) {
      const { items, next } = piecePageSchema.parse(
        await (await tamsin.fetch(`/submissions?shelf=review&most=5${after}`)).json()
      )
      walked.push(...items.map(p => p.id))
      if (walked.length === 5) await handedIn(await picture())
      after = `&after=${next}`
      more = next !== null
    }
    const { items } = piecePageSchema.parse(await (await tamsin.fetch('/submissions?shelf=review&most=100')).json())
    expect(walked).toEqual(items.map(p => p.id))
    expect(items.map(p => p.handedInAt)).toEqual(items.map(p => p.handedInAt).sort())
    const { counts, minutes, oldest } = shelfTotalsSchema.parse(await (await tamsin.fetch('/shelves')).json())
    expect([counts.review, minutes, oldest]).toEqual([
      items.length,
      items.reduce((sum, p) => sum + Math.max(0, p.budgetMinutes - p.spentMinutes), 0),
      items[0]!.handedInAt
    ])
    expect((await tamsin.fetch('/submissions?most=1000')).status).toBe(422)
  })

  it('gains the fingerprints of reports stored before they were kept beside them, as they would be now', async () => {
    const connection = await keeper()
    const prints = async () =>
      (
        await connection.query<RowDataPacket[]>(
          "SELECT submission_id, fingerprint FROM measurements WHERE state = 'done' ORDER BY submission_id"
        )
      )[0].map(r => [Number(r.submission_id), fingerprintSchema.nullable().parse(r.fingerprint)] as const)
    const before = new Map(await prints())
    await connection.query('UPDATE measurements SET fingerprint = NULL')
    for (const statement of statementsOf(
      readFileSync(new URL('../../server/db/migrations/0007_faults.sql', import.meta.url), 'utf8')
    ))
      await connection.query(statement)
    // What earlier tests handed in may be measured meanwhile: only what stood before is compared.
    expect(new Map((await prints()).filter(([id]) => before.has(id)))).toEqual(before)
    await connection.end()
  })
})

describe('score and time', () => {
  const twelve = DEFAULT_RUBRIC.map(q => ({ ...q }))
  afterAll(() => tamsin.json('PUT', '/classes/1/rubric', twelve))

  it('keeps a score with the qualities it was given by, whatever the rubric becomes', async () => {
    const id = await handedIn(await picture()),
      scores = { idea: 9, range: 'not-applicable', hand: 6 }
    expect(
      (await tamsin.json('PUT', `/submissions/${id}/score`, { score: { qualities: twelve, scores }, over: null }))
        .status
    ).toBe(200)
    await tamsin.json('PUT', '/classes/1/rubric', [{ key: 'own-1', title: 'Courage', station: null }])
    const { score, rubric } = await critiqueOf(tamsin, id)
    expect(score).toEqual({ qualities: twelve, scores })
    expect(rubric).toEqual([{ key: 'own-1', title: 'Courage', station: null }])
    for (const bad of [
      { qualities: twelve, scores: { idea: 10 } },
      { qualities: twelve, scores: { courage: 5 } }
    ])
      expect((await tamsin.json('PUT', `/submissions/${id}/score`, { score: bad, over: score })).status).toBe(422)
    expect((await tamsin.json('PUT', '/classes/1/rubric', [])).status).toBe(422)
    await tamsin.json('PUT', `/submissions/${id}/score`, { score: null, over: score })
    expect((await critiqueOf(tamsin, id)).score).toBeNull()
  })

  it('adds up the time worked, shows it on the desk and never to the learner', async () => {
    const id = await handedIn(await picture())
    for (const seconds of [60, 45, 30]) await tamsin.json('POST', `/submissions/${id}/time`, { seconds })
    expect((await tamsin.json('POST', `/submissions/${id}/time`, { seconds: 4000 })).status).toBe(422)
    expect((await critiqueOf(tamsin, id)).seconds).toBe(135)
    const seen = async (person: Person): Promise<number> =>
      ((await (await person.fetch(`/submissions/${id}`)).json()) as { spentMinutes: number }).spentMinutes
    expect([await seen(tamsin), await seen(rosa)]).toEqual([2, 0])
    await tamsin.json('POST', `/submissions/${id}/corrections`, {
      station: 'values',
      area: null,
      readingId: null,
      reason: '',
      what: 'Flat',
      todo: '',
      target: null
    })
    await tamsin.json('POST', `/submissions/${id}/release`)
    expect((await critiqueOf(rosa, id)).seconds).toBe(0)
    expect((await tamsin.json('POST', `/submissions/${id}/time`, { seconds: 5 })).status).toBe(409)
  })
})
