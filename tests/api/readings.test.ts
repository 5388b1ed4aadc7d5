/** One list of readings, whoever asks: the bench, the server, the table, the sheet, the command line, the learner. */
import { execFile } from 'node:child_process'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { promisify } from 'node:util'
import Papa from 'papaparse'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { keyReadings } from '../../core/critique/key-readings'
import { sourceOf } from '../../core/measure/source'
import type { PieceKnown } from '../../core/critique/piece/known'
import { measurePiece } from '../../core/critique/piece/measure'
import { readingsOfPiece } from '../../core/critique/stations/readings'
import type { PieceReading } from '../../core/critique/stations/piece'
import { DEFAULT_STANDARDS } from '../../core/critique/standards'
import { planesOf } from '../../core/picture/planes'
import { WHEEL_NAMES, type WheelName } from '../../core/wheel/steps'
import { renderPiece } from '../../demo/render'
import { pieceNamed } from '../../demo/manifest'
import { decodePicture, READABLE, type Decoded } from '../../server/work/decode'
import { critiqueSchema, FOCUS_NAME, type Critique } from '../../shared/critique'
import { exportStateSchema } from '../../shared/pieces/export'
import { submissionSchema } from '../../shared/pieces/submission'
import { until } from '../house'
import { pdfText } from '../pdf-text'
import { Person } from './client'

let tamsin: Person,
  rosa: Person,
  id = 0
const critique = async (person = tamsin): Promise<Critique> =>
  critiqueSchema.parse(await (await person.fetch(`/submissions/${id}/critique`)).json())
/** With everything that is known by now, measured by the server's own queue. */
async function current(): Promise<Critique> {
  await until('the readings are current', async () => (await critique()).current, 10_000)
  return critique()
}
const onWheel = (wheel: WheelName): Promise<Response> =>
  tamsin.json('PUT', '/classes/1/standards', { ...DEFAULT_STANDARDS, wheel })
const box = (x: number, y: number, w: number, h: number) => ({ kind: 'rectangle', x, y, w, h }) as const
const said = (readings: readonly PieceReading[]): string[] => readings.map(r => `${r.key}: ${r.verdict}: ${r.sentence}`)

beforeAll(async () => {
  tamsin = await Person.signedIn('tamsin')
  rosa = await Person.signedIn('rosa')
  const piece = await renderPiece(pieceNamed('pots'))
  id = (
    (await (await rosa.handIn(piece, { title: 'One room', plannedScheme: 'complementary' })).json()) as { id: number }
  ).id
  await rosa.measured(id)
})
afterAll(() => tamsin.json('PUT', '/classes/1/standards', null))

/** As the bench's worker has it: from the display size, with what the page knows of the piece. */
async function asTheBenchHasIt(now: Critique): Promise<PieceReading[]> {
  const display = Buffer.from(await (await tamsin.fetch(`/submissions/${id}/picture/display`)).arrayBuffer())
  const { raster } = (await decodePicture(display, READABLE)) as Decoded
  const { measurement, plannedScheme, question, about, stage } = submissionSchema.parse(
    await (await tamsin.fetch(`/submissions/${id}`)).json()
  )
  if (measurement.state !== 'done') throw new Error('not measured')
  const { pairs, surroundings, stops, firstEye, wholeFile, noFaces } = now.notes,
    known: PieceKnown = {
      wheel: now.standards.wheel,
      plan: plannedScheme,
      pairs,
      surroundings,
      stops,
      firstEye,
      wholeFile,
      noFaces,
      question,
      about: now.notes.about || about,
      stage,
      focus: now.areas.find(a => a.name === FOCUS_NAME)?.area ?? null,
      areas: now.areas.filter(a => a.name !== FOCUS_NAME)
    }
  const measures = measurePiece({
    pixels: { raster, planes: planesOf(raster) },
    source: sourceOf(measurement.report),
    known
  })
  expect(measures.report).toEqual(measurement.report)
  return readingsOfPiece(measures, known, now.standards)
}

async function table(): Promise<string[]> {
  const text = await (await tamsin.fetch(`/submissions/${id}/export/readings.csv`)).text()
  const { data } = Papa.parse<{ reading: string; verdict: string; sentence: string }>(text, {
    header: true,
    skipEmptyLines: true
  })
  return data.map(r => `${r.reading}: ${r.verdict}: ${r.sentence}`)
}

async function sheetText(): Promise<string> {
  const { id: job } = exportStateSchema.parse(
    await (await tamsin.json('POST', `/submissions/${id}/exports`, { name: 'sheet-a4.pdf' })).json()
  )
  await until(
    'the sheet is made',
    async () =>
      exportStateSchema.parse(await (await tamsin.fetch(`/submissions/${id}/exports/${job}`)).json()).state === 'done'
  )
  const file = await (await tamsin.fetch(`/submissions/${id}/exports/${job}/file`)).arrayBuffer(),
    words = await pdfText(new Uint8Array(file))
  await tamsin.json('DELETE', `/submissions/${id}/exports/${job}`)
  return words.replace(/\s+/g, '')
}

async function commandLine(wheel: WheelName, now: Critique): Promise<string[]> {
  const folder = mkdtempSync(join(tmpdir(), 'critica-readings-')),
    file = join(folder, 'piece.png'),
    areas = join(folder, 'areas.json')
  try {
    writeFileSync(file, await renderPiece(pieceNamed('pots')))
    const focus = now.areas.find(a => a.name === FOCUS_NAME)?.area,
      others = now.areas.filter(a => a.name !== FOCUS_NAME)
    const flat = (area: Critique['areas'][number]['area']): number[] =>
      area.kind === 'rectangle' ? [area.x, area.y, area.w, area.h] : []
    writeFileSync(areas, JSON.stringify(others.map(({ name, area }) => ({ name, area: flat(area) }))))
    const more = [...(focus ? ['--focus', flat(focus).join(',')] : []), ...(others.length ? ['--areas', areas] : [])]
    const { stdout } = await promisify(execFile)('npx', [
      'tsx',
      'cli/measure.ts',
      file,
      '--wheel',
      wheel,
      '--readings',
      ...more
    ])
    const { readings } = JSON.parse(stdout) as { readings: { id: string; verdict: string; sentence: string }[] }
    return readings.map(r => `${r.id}: ${r.verdict}: ${r.sentence}`)
  } finally {
    rmSync(folder, { recursive: true, force: true })
  }
}
/** What the command line has no word for. */
const ONLY_HERE: readonly PieceReading['on'][] = ['pairs', 'stops', 'plan', 'reference', 'first-look']
const byId = (readings: readonly PieceReading[]): string[] => readings.map(r => `${r.id}: ${r.verdict}: ${r.sentence}`)

describe('bench, server, table, sheet and command line say the same', () => {
  it.each(WHEEL_NAMES)('on the %s wheel, of the picture alone', async wheel => {
    await onWheel(wheel)
    const now = await current()
    expect(now.readings.length).toBeGreaterThan(7)
    expect(said(await asTheBenchHasIt(now))).toEqual(said(now.readings))
    expect(await table()).toEqual(byId(now.readings))
    expect((await commandLine(wheel, now)).sort()).toEqual(
      byId(now.readings.filter(r => !ONLY_HERE.includes(r.on))).sort()
    )
  })

  it('and with all that can be known of a piece, measured within three seconds of the edit, none waiting', async () => {
    await onWheel('painter')
    await current()
    const edits = [
      ['POST', '/areas', { name: FOCUS_NAME, area: box(0.4, 0.4, 0.2, 0.25) }],
      ['POST', '/areas', { name: 'the pot', area: box(0.1, 0.3, 0.2, 0.4) }],
      ['POST', '/areas', { name: 'foreground', area: box(0, 0.8, 1, 0.2) }],
      ['POST', '/areas', { name: 'background', area: box(0, 0, 1, 0.2) }],
      [
        'PUT',
        '/notes',
        {
          pairs: [
            { name: 'clay', lit: { x: 0.2, y: 0.4 }, shadow: { x: 0.3, y: 0.6 } },
            { name: 'cloth', lit: { x: 0.6, y: 0.8 }, shadow: { x: 0.8, y: 0.85 } }
          ]
        }
      ],
      [
        'PUT',
        '/notes',
        {
          surroundings: { x: 0.5, y: 0.05 },
          stops: [box(0.1, 0.1, 0.2, 0.2), box(0.7, 0.6, 0.2, 0.2)],
          firstEye: { x: 0.5, y: 0.5 }
        }
      ]
    ] as const
    for (const [method, path, body] of edits) {
      const from = performance.now()
      expect((await tamsin.json(method, `/submissions/${id}${path}`, body)).status).toBe(200)
      expect(performance.now() - from).toBeLessThan(1000)
    }
    const from = performance.now(),
      now = await current()
    expect(performance.now() - from).toBeLessThan(3000)
    expect(new Set(now.readings.map(r => r.on))).toEqual(
      new Set(['picture', 'focus', 'area', 'pairs', 'planes', 'stops', 'plan', 'first-look'])
    )
    expect(said(await asTheBenchHasIt(now))).toEqual(said(now.readings))
    expect(await table()).toEqual(byId(now.readings))
    expect((await commandLine('painter', now)).sort()).toEqual(
      byId(now.readings.filter(r => !ONLY_HERE.includes(r.on))).sort()
    )
    for (const wheel of WHEEL_NAMES.filter(w => w !== 'painter')) {
      await onWheel(wheel)
      const turned = await current()
      expect(said(await asTheBenchHasIt(turned))).toEqual(said(turned.readings))
      expect(await table()).toEqual(byId(turned.readings))
      expect((await commandLine(wheel, turned)).sort()).toEqual(
        byId(turned.readings.filter(r => !ONLY_HERE.includes(r.on))).sort()
      )
    }
    await onWheel('painter')
    await current()
    const sheet = await sheetText(),
      key = keyReadings({ readings: now.readings, judged: [], said: [] }, 6)
    for (const { sentence } of key) expect(sheet).toContain(sentence.replace(/\s+/g, ''))
    // The command line is begun six times.
  }, 240_000)
})

it("a released critique keeps what it had; its learner is told all of it but the critic's own first look", async () => {
  const before = await current()
  await tamsin.json('POST', `/submissions/${id}/corrections`, {
    station: 'values',
    area: null,
    readingId: null,
    reason: '',
    what: 'Flat',
    todo: '',
    target: null
  })
  expect((await tamsin.json('POST', `/submissions/${id}/release`)).status).toBe(200)
  await onWheel('process')
  const [after, learned] = [await critique(), await critique(rosa)]
  expect(said(after.readings)).toEqual(said(before.readings))
  expect(said(learned.readings)).toEqual(said(before.readings.filter(r => r.on !== 'first-look')))
  expect(learned.readings.some(r => r.on === 'pairs') && learned.readings.some(r => r.on === 'area')).toBe(true)
  // Taken back, it is told as its class goes by now.
  await tamsin.json('POST', `/submissions/${id}/withdraw`)
  await current()
  const { measurement } = submissionSchema.parse(await (await tamsin.fetch(`/submissions/${id}`)).json())
  expect(measurement.state === 'done' && measurement.report.wheel).toBe('process')
})
