/** Small versions before a piece: read for their maker alone, handed in with what they led to, counted. */
import { afterAll, beforeAll, expect, it } from 'vitest'
import { assignmentListSchema } from '../../shared/exercises/assignment'
import { keptStudyListSchema, keptStudySchema, type KeptStudy } from '../../shared/pieces/study'
import type { Person } from './client'
import { picture } from './client'
import { exerciseClass, type ExerciseClass } from './exercise-class'

let class_: ExerciseClass, alma: Person, bo: Person
beforeAll(async () => {
  class_ = await exerciseClass()
  ;[alma, bo] = class_.learners as [Person, Person]
})
afterAll(() => class_.connection.end())

/** @param key of one wish, however often it is sent. */
async function keep(person: Person, file: Buffer, minutes: string, key?: string): Promise<Response> {
  const form = new FormData()
  form.append('minutes', minutes)
  form.append('picture', new Blob([new Uint8Array(file)]), 'study.png')
  return person.fetch('/studies', { method: 'POST', body: form, headers: key ? { 'idempotency-key': key } : {} })
}
const listOf = async (person: Person, path: string): Promise<KeptStudy[]> =>
  keptStudyListSchema.parse(await (await person.fetch(path)).json())

it('goes from a drawer to the piece it led to', async () => {
  const send = async (): Promise<KeptStudy> =>
      keptStudySchema.parse(await (await keep(alma, await picture(200, 120), '12', 'of-one-small-try')).json()),
    first = await send()
  // Its answer was lost, and it is sent again.
  expect(await send()).toEqual(first)
  expect([first.width, first.height, first.minutes, first.submissionId]).toEqual([200, 120, 12, null])
  // A blue ground and an orange quarter of its sides: a sixteenth.
  expect(first.palette.map(c => c.hex)).toEqual(expect.arrayContaining(['#2a71b0', '#f18e1c']))
  expect(first.palette[0]!.share).toBeCloseTo(15 / 16, 1)
  const second = keptStudySchema.parse(await (await keep(alma, await picture(120, 200), '')).json())
  const third = keptStudySchema.parse(await (await keep(alma, await picture(99, 99), '')).json())
  expect((await keep(alma, await picture(), '0')).status).toBe(422)
  expect((await keep(alma, Buffer.from('no picture'), '')).status).toBe(415)
  expect((await listOf(alma, '/studies')).map(s => s.id)).toEqual([first.id, second.id, third.id])
  // Nobody else's, not their instructor's, before they led to something.
  for (const person of [bo, class_.teacher])
    expect((await person.fetch(`/studies/${first.id}/picture`)).status).toBe(404)
  expect((await bo.json('DELETE', `/studies/${first.id}`)).status).toBe(404)
  expect((await alma.json('DELETE', `/studies/${third.id}`)).status).toBe(200)

  const { id: setId } = (await (
    await class_.teacher.json('POST', `/classes/${class_.classId}/exercises`, {
      exercise: 'studies-first',
      dueOn: '2027-01-01',
      learners: class_.ids
    })
  ).json()) as { id: number }
  expect(setId).toBeGreaterThan(0)
  const set = assignmentListSchema.parse(await (await alma.fetch('/assignments')).json())[0]!
  const handed = await alma.handIn(await picture(400, 300), {
    classId: String(class_.classId),
    assignmentId: String(set.id),
    studies: `${first.id},${second.id},999999`
  })
  const { id } = (await handed.json()) as { id: number }
  await alma.measured(id)
  expect(await listOf(alma, '/studies')).toEqual([])
  expect((await listOf(class_.teacher, `/submissions/${id}/studies`)).map(s => [s.id, s.minutes, s.said])).toEqual([
    [first.id, 12, []],
    [second.id, null, []]
  ])
  expect((await class_.teacher.fetch(`/studies/${first.id}/picture`)).status).toBe(200)
  expect((await bo.fetch(`/studies/${first.id}/picture`)).status).toBe(404)
  // What was handed in stays, and is counted by the exercise that asks for studies first.
  expect((await alma.json('DELETE', `/studies/${first.id}`)).status).toBe(404)
  const { handIn } = assignmentListSchema.parse(await (await alma.fetch('/assignments')).json())[0]!
  expect(handIn!.checks!.find(c => c.id === 'studies')).toMatchObject({ value: 2, passed: true })
}, 60_000)
