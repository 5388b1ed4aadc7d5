/** Filled worksheets: photographed, scanned, read, disputed, confirmed; and a printer whose greys are off. */
import { beforeAll, expect, it } from 'vitest'
import { PRINTER_DOUBT } from '../../core/exercise/reader/doubts'
import { seededRandom } from '../../core/numeric/random'
import { keptSheetListSchema, sheetsTakenSchema, sheetsToldSchema } from '../../shared/exercises/worksheet'
import { pdfText } from '../pdf-text'
import { filledSheet } from '../sheets/filled'
import { photograph } from '../sheets/photographer'
import { beside, BOTH_SHOT, bothPages, throughPoorPrinter } from '../sheets/poor-printer'
import { scanned } from '../sheets/scanned'
import { picture, type Person } from './client'
import { assignmentOf, day, exerciseClass, form, type ExerciseClass } from './exercise-class'

let inClass: ExerciseClass, teacher: Person, learners: readonly Person[], setId: number

beforeAll(async () => {
  inClass = await exerciseClass()
  ;({ teacher, learners } = inClass)
  const set = { exercise: 'opposites', dueOn: day(9), key: 'each', learners: inClass.ids }
  setId = ((await (await teacher.json('POST', `/classes/${inClass.classId}/exercises`, set)).json()) as { id: number })
    .id
})

it('takes a photographed sheet to whose it is, lets a box be disputed, and is confirmed', async () => {
  const { id, settings } = await assignmentOf(inClass, setId, 0)
  const { sheet, jpeg } = await filledSheet({ exercise: 'opposites', settings, number: id })
  const send = async (who: Person, photo: Buffer) =>
    who.fetch('/sheets', { method: 'POST', body: form('picture', photo) })
  const foreign = sheetsTakenSchema.parse(await (await send(learners[1]!, jpeg)).json())
  expect(foreign).toEqual([{ kind: 'refused', reason: 'This sheet belongs to an exercise that is not yours.' }])
  // The instructor may bring it in for her.
  expect(sheetsTakenSchema.parse(await (await send(teacher, jpeg)).json())).toMatchObject([
    { kind: 'kept', assignmentId: id, learner: 'Alma', of: sheet.boxes.length }
  ])
  const [kept] = keptSheetListSchema.parse(await (await learners[0]!.fetch(`/assignments/${id}/sheets`)).json())
  const wrong = kept!.sheet.boxes.find(b => b.verdict !== 'right')!
  const path = `/assignments/${id}/sheets/${kept!.id}`
  expect((await learners[0]!.json('PUT', `${path}/dispute`, { box: 'no such', word: 'x' })).status).toBe(404)
  expect(
    (await learners[0]!.json('PUT', `${path}/dispute`, { box: wrong.name, word: 'It was still wet.' })).status
  ).toBe(200)
  expect((await teacher.json('POST', `${path}/confirm`)).status).toBe(200)
  expect((await learners[0]!.json('PUT', `${path}/dispute`, { box: wrong.name, word: '' })).status).toBe(409)
  const [after] = keptSheetListSchema.parse(await (await teacher.fetch(`/assignments/${id}/sheets`)).json())
  expect(after).toMatchObject({ disputes: [{ box: wrong.name, word: 'It was still wet.' }] })
  // A scan of the class: Bo's sheet, and a page that is none. How far it is comes line by line.
  const other = await assignmentOf(inClass, setId, 1),
    { jpeg: theirs } = await filledSheet({ exercise: 'opposites', settings: other.settings, number: other.id })
  const pages = await scanned([theirs, await picture(1500, 2000)])
  const scan = async (): Promise<{ told?: unknown; answer?: unknown }[]> => {
    const headers = { accept: 'application/x-ndjson', 'idempotency-key': '"of-one-scan-of-two"' },
      answer = await teacher.fetch('/sheets', { method: 'POST', body: form('picture', pages), headers })
    return (await answer.text())
      .trim()
      .split('\n')
      .map(line => JSON.parse(line) as { told?: unknown; answer?: unknown })
  }
  const lines = await scan()
  expect(lines.flatMap(l => (l.told ? [sheetsToldSchema.parse(l.told).share] : []))).toEqual(
    expect.arrayContaining([expect.closeTo(0.3, 5)])
  )
  expect(sheetsTakenSchema.parse(lines.at(-1)!.answer)).toMatchObject([
    { kind: 'kept', assignmentId: other.id, learner: 'Bo' },
    { kind: 'refused', reason: 'No worksheet is found on page 2.' }
  ])
  // Sent again since its end was not heard, it is read again, and kept once.
  expect(await scan()).toEqual(lines)
  expect(await (await learners[1]!.fetch(`/assignments/${other.id}/sheets`)).json()).toHaveLength(1)
  const none = await send(learners[0]!, await picture(400, 300))
  expect([none.status, ((await none.json()) as { error: { message: string } }).error.message]).toEqual([
    415,
    expect.stringContaining('No worksheet is found')
  ])
}, 60_000)

it('learns a poor printer from one photograph, and reads the sheets that it printed by it', async () => {
  const { id, settings, learner } = await assignmentOf(inClass, setId, 0)
  const pages = await pdfText(Buffer.from(await (await learners[0]!.fetch('/printer/pages')).arrayBuffer()))
  expect(pages).toMatch(/The measure.*Your own printer/)
  const asked = {
    exercise: 'opposites',
    settings,
    number: id,
    printer: learner.id,
    through: throughPoorPrinter
  } as const
  const doubtsOf = async (): Promise<string[]> => {
    await learners[0]!.fetch('/sheets', { method: 'POST', body: form('picture', (await filledSheet(asked)).jpeg) })
    const [newest] = keptSheetListSchema.parse(await (await learners[0]!.fetch(`/assignments/${id}/sheets`)).json())
    return newest!.sheet.doubts
  }
  const { jpeg: photo } = await photograph(beside(...(await bothPages(learner.id))), BOTH_SHOT, seededRandom(3))
  const show = async (bytes: Buffer, who = learners[0]!) =>
    who.fetch('/printer', { method: 'POST', body: form('picture', bytes) })
  expect(await doubtsOf()).toContain(PRINTER_DOUBT)
  expect((await show(photo, learners[1])).status).toBe(422)
  expect((await show(Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"/>'))).status).toBe(415)
  expect(await (await learners[0]!.fetch('/printer')).json()).toEqual({ printer: null })
  expect((await show(photo)).status).toBe(200)
  expect(await (await learners[0]!.fetch('/printer')).json()).toMatchObject({ printer: { off: expect.any(Number) } })
  expect(await doubtsOf()).not.toContain(PRINTER_DOUBT)
  expect((await learners[0]!.fetch('/printer', { method: 'DELETE' })).status).toBe(200)
  expect(await (await learners[0]!.fetch('/printer')).json()).toEqual({ printer: null })
}, 120_000)
