/**
 * An exercise set to a class: different key colours, plans, studies that are private, hand-ins, the wall, the record,
 * reminders.
 */
import type { RowDataPacket } from 'mysql2/promise'
import type mysql from 'mysql2/promise'
import Papa from 'papaparse'
import { beforeAll, expect, it } from 'vitest'
import {
  assignmentListSchema,
  assignmentSchema,
  exerciseRecordSchema,
  studySchema,
  type Study,
  type Assignment
} from '../../shared/exercises/assignment'
import { closePool, openPool } from '../../server/db/pool'
import { remindDue } from '../../server/services/exercises/reminding'
import { pdfText } from '../pdf-text'
import { Person, picture } from './client'
import { assignmentOf, day, exerciseClass, form, setOf, type ExerciseClass } from './exercise-class'

let inClass: ExerciseClass, connection: mysql.Connection, teacher: Person, classId: number
let learners: readonly Person[], ids: readonly number[], setId: number

const readSet = () => setOf(inClass, setId)
const ofLearner = (i: number): Promise<Assignment> => assignmentOf(inClass, setId, i)
const mails = async (i: number): Promise<string[]> => {
  const [rows] = await connection.query<RowDataPacket[]>(
    'SELECT subject FROM outbox WHERE account_id = ? ORDER BY id',
    [ids[i]]
  )
  return rows.map(r => r.subject as string)
}

beforeAll(async () => {
  inClass = await exerciseClass()
  ;({ connection, teacher, classId, learners, ids } = inClass)
})

it('is set to all of it with different key colours, and everybody is told', async () => {
  const asked = { exercise: 'opposites', dueOn: day(1), note: 'From life.', key: 'each', learners: ids }
  const stranger = await teacher.json('POST', `/classes/${classId}/exercises`, { ...asked, learners: [...ids, 1] })
  expect(stranger.status).toBe(422)
  const response = await teacher.json('POST', `/classes/${classId}/exercises`, asked)
  setId = ((await response.json()) as { id: number }).id
  const { assignments, eachHue } = await readSet()
  expect(eachHue).toBe(true)
  expect(new Set(assignments.map(a => a.settings.hue)).size).toBe(3)
  for (const i of [0, 1, 2]) expect(await mails(i)).toEqual(['An exercise: Opposites'])
  const { id } = await ofLearner(0)
  expect((await learners[1]!.fetch(`/assignments/${id}`)).status).toBe(404)
  const calendar = await (await learners[0]!.fetch(`/assignments/${id}/calendar`)).text()
  // RFC 5545: a day without a time, lines by CRLF.
  expect(calendar).toMatch(
    new RegExp(`^BEGIN:VCALENDAR\\r\\n[^]*DTSTART;VALUE=DATE:${day(1).replaceAll('-', '')}\\r\\n`)
  )
})

it('is planned, and tried in private: only its learner sees a study, everybody sees how many', async () => {
  const { id, settings } = await ofLearner(0)
  const plan = { subject: 'a kettle', goal: '', scheme: 'complementary', hue: settings.hue, amounts: [0.7, 0.2, 0.1] }
  const unsound = await learners[0]!.json('PUT', `/assignments/${id}/plan`, { ...plan, amounts: [0.2, 0.2, 0.1] })
  expect(unsound.status).toBe(422)
  expect((await learners[0]!.fetch(`/assignments/${id}/plan`)).status).toBe(404)
  expect((await learners[0]!.json('PUT', `/assignments/${id}/plan`, plan)).status).toBe(200)
  const page = await teacher.fetch(`/assignments/${id}/plan?paper=letter`)
  expect(await pdfText(Buffer.from(await page.arrayBuffer()))).toMatch(
    /a kettle.*leader 70 % · assistant 20 % · accent 10 %/
  )
  const send = async (): Promise<Study> => {
    const asked = { method: 'POST', body: form('picture', await picture()) },
      headers = { 'idempotency-key': 'of-one-private-check' }
    return studySchema.parse(
      await (await learners[0]!.fetch(`/assignments/${id}/studies`, { ...asked, headers })).json()
    )
  }
  const kept = await send()
  // Its answer was lost, and it is sent again.
  expect(await send()).toEqual(kept)
  expect(kept.checks.map(c => c.id)).toEqual(['coverage', 'accent', 'range', 'key', 'plan', 'amounts-planned'])
  expect(kept.checks.find(c => c.id === 'range')).toMatchObject({
    passed: false,
    tip: expect.stringContaining('darkest')
  })
  expect((await learners[0]!.fetch(`/assignments/${id}/studies/${kept.id}/picture`)).headers.get('content-type')).toBe(
    'image/png'
  )
  const shown = await learners[0]!.fetch(`/assignments/${id}/studies/${kept.id}/evidence/coverage`)
  expect([shown.status, shown.headers.get('content-type')]).toEqual([200, 'image/png'])
  expect((await learners[1]!.fetch(`/assignments/${id}/studies/${kept.id}/evidence/coverage`)).status).toBe(404)
  expect((await teacher.fetch(`/assignments/${id}/studies`)).status).toBe(403)
  expect((await learners[1]!.fetch(`/assignments/${id}/studies/${kept.id}/picture`)).status).toBe(404)
  expect(await ofLearner(0)).toMatchObject({ studies: 1, plan: { subject: 'a kettle' }, handIn: null })
})

it('is handed in, sent back with a word, handed in again, confirmed; the record and its table say so', async () => {
  const { id } = await ofLearner(1)
  const handIn = async (): Promise<void> => {
    const sent = await learners[1]!.handIn(await picture(), { classId: `${classId}`, assignmentId: `${id}` })
    await learners[1]!.measured(((await sent.json()) as { id: number }).id)
  }
  await handIn()
  // It does not reach everything, so it is not confirmed with those that do.
  expect(await (await teacher.json('POST', `/exercise-sets/${setId}/confirm`)).json()).toEqual({ confirmed: 0 })
  await teacher.json('POST', `/assignments/${id}/confirm`, { outcome: 'again', word: 'Lighter lights.' })
  expect(await ofLearner(1)).toMatchObject({ answer: 'Lighter lights.', confirmedAt: null })
  expect((await ofLearner(1)).returnedAt).not.toBeNull()
  await handIn()
  expect(await ofLearner(1)).toMatchObject({ answer: '', returnedAt: null })
  await teacher.json('POST', `/assignments/${id}/confirm`, { word: 'Good enough.' })
  expect((await mails(1)).slice(1)).toEqual([
    'Your exercise “Opposites” is to be done again',
    'Your exercise “Opposites” is confirmed'
  ])
  const again = await learners[1]!.handIn(await picture(), { classId: `${classId}`, assignmentId: `${id}` })
  expect(again.status).toBe(409)
  const record = exerciseRecordSchema.parse(await (await teacher.fetch(`/classes/${classId}/exercises`)).json())
  expect(
    record.learners.map(({ name, set, planned, tried, handedIn, onTime, confirmed }) => [
      name,
      set,
      planned,
      tried,
      handedIn,
      onTime,
      confirmed
    ])
  ).toEqual([
    ['Alma', 1, 1, 1, 0, 0, 0],
    ['Bo', 1, 0, 0, 1, 1, 1],
    ['Cleo', 1, 0, 0, 0, 0, 0]
  ])
  expect(record.missed.map(m => m.check)).toContain('range')
  const table = Papa.parse<Record<string, string>>(
    await (await teacher.fetch(`/classes/${classId}/exercises/table`)).text(),
    { header: true, skipEmptyLines: true }
  )
  expect(table.data.map(r => [r.learner, r.planned, r.studies, r['on time']])).toEqual([
    ['Alma', 'yes', '1', ''],
    ['Bo', 'no', '0', 'yes'],
    ['Cleo', 'no', '0', '']
  ])
})

it('is put off and withdrawn with a word, and asks for nothing then', async () => {
  const { id } = await ofLearner(2)
  expect((await teacher.json('PUT', `/assignments/${id}`, { dueOn: day(9), note: 'Take your time.' })).status).toBe(200)
  expect(await ofLearner(2)).toMatchObject({ dueOn: day(9), note: 'Take your time.' })
  expect((await teacher.json('POST', `/assignments/${id}/withdraw`, { note: 'You have enough.' })).status).toBe(200)
  const late = await learners[2]!.handIn(await picture(), { classId: `${classId}`, assignmentId: `${id}` })
  expect([late.status, ((await late.json()) as { error: { message: string } }).error.message]).toEqual([
    422,
    'This exercise was withdrawn: nothing is asked for any more.'
  ])
  expect((await mails(2)).slice(1)).toEqual([
    'Your exercise “Opposites” has another day',
    'Your exercise “Opposites” was withdrawn'
  ])
})

it('of an instructor’s own is set as it stands; changed later, what is under way stays as it was set', async () => {
  const own = {
    base: 'ladder-5',
    title: 'Kettle in two values',
    trains: 'Big shapes',
    steps: ['Squint.', 'Paint two masses.'],
    checks: [
      { kind: 'two-masses', bound: 30 },
      { kind: 'range', bound: 40 }
    ]
  }
  const { id } = (await (await teacher.json('POST', '/own-exercises', own)).json()) as { id: number }
  // A ladder has no scheme; a bound has an end.
  for (const checks of [[{ kind: 'accent', bound: 30 }], [{ kind: 'range', bound: 99 }], []])
    expect((await teacher.json('POST', '/own-exercises', { ...own, checks })).status).toBe(422)
  const elsewhere = await Person.signedIn('tamsin')
  expect((await elsewhere.json('PUT', `/own-exercises/${id}`, own)).status).toBe(404)
  const asked = { exercise: 'ladder-5', own: id, dueOn: day(20), learners: [ids[1]] }
  expect((await elsewhere.json('POST', '/classes/1/exercises', { ...asked, learners: [2] })).status).toBe(404)
  expect((await teacher.json('POST', `/classes/${classId}/exercises`, asked)).status).toBe(200)
  expect((await mails(1)).at(-1)).toBe('An exercise: Kettle in two values')
  await teacher.json('PUT', `/own-exercises/${id}`, { ...own, title: 'Another', checks: [{ kind: 'dark', bound: 10 }] })
  expect((await teacher.json('DELETE', `/own-exercises/${id}`)).status).toBe(200)
  const set = assignmentListSchema
    .parse(await (await learners[1]!.fetch('/assignments')).json())
    .find(a => a.own !== null)!
  expect(set).toMatchObject({ exercise: 'ladder-5', own: { title: 'Kettle in two values' } })
  const sent = await learners[1]!.handIn(await picture(), { classId: `${classId}`, assignmentId: `${set.id}` })
  await learners[1]!.measured(((await sent.json()) as { id: number }).id)
  const { handIn } = assignmentSchema.parse(await (await learners[1]!.fetch(`/assignments/${set.id}`)).json())
  expect(handIn!.checks!.map(c => [c.id, c.passed])).toEqual([
    ['apart', false],
    ['range', false]
  ])
})

it('is reminded of once, two days before it is due, where nothing was handed in', async () => {
  openPool(process.env.CRITICA_DATABASE_URL!)
  try {
    await remindDue()
    const due = (all: readonly string[]): number => all.filter(s => s === '“Opposites” is due soon').length
    // Alma planned and tried; Bo is confirmed; Cleo's was withdrawn.
    expect([due(await mails(0)), due(await mails(1)), due(await mails(2))]).toEqual([1, 0, 0])
    await remindDue()
    expect(due(await mails(0))).toBe(1)
    // Put off, it is reminded of again when its day comes near.
    const { id } = await ofLearner(0)
    await teacher.json('PUT', `/assignments/${id}`, { dueOn: day(6) })
    await remindDue()
    await teacher.json('PUT', `/assignments/${id}`, { dueOn: day(2) })
    await remindDue()
    expect(due(await mails(0))).toBe(2)
  } finally {
    await closePool()
  }
})

it('shows on the picture what a check stands on', async () => {
  const { id } = await ofLearner(1)
  const shown = await learners[1]!.fetch(`/assignments/${id}/evidence/coverage`)
  expect([shown.status, shown.headers.get('content-type')]).toEqual([200, 'image/png'])
  expect((await learners[1]!.fetch(`/assignments/${id}/evidence/nothing`)).status).toBe(404)
  expect((await learners[0]!.fetch(`/assignments/${id}/evidence/coverage`)).status).toBe(404)
})

it('prints a sheet for each, with their name and number, and a key for who teaches alone', async () => {
  const { id } = await ofLearner(0)
  const sheets = await pdfText(
    Buffer.from(await (await teacher.fetch(`/exercise-sets/${setId}/worksheets`)).arrayBuffer())
  )
  // Cleo's was withdrawn.
  expect(['Alma', 'Bo', 'Cleo'].map(name => sheets.includes(name))).toEqual([true, true, false])
  const key = await teacher.fetch(`/assignments/${id}/worksheet?answers=true&paper=letter`)
  expect(await pdfText(Buffer.from(await key.arrayBuffer()))).toContain('What each box is to be')
  expect((await learners[0]!.fetch(`/assignments/${id}/worksheet?answers=true`)).status).toBe(404)
  expect(await (await learners[0]!.fetch(`/assignments/${id}/worksheet?as=svg`)).text()).toContain('>Alma · key colour')
})
