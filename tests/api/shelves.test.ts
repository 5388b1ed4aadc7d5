/** On which shelf a piece hangs, from its hand-in to its end; and that no row of the database says otherwise. */
import type { RowDataPacket } from 'mysql2/promise'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { piecePageSchema, shelfTotalsSchema } from '../../shared/pieces/submission'
import { SHELVES } from '../consistency'
import { keeper, picture, type Person } from './client'
import { day, exerciseClass, setOf, type ExerciseClass } from './exercise-class'

let room: ExerciseClass, learner: Person
beforeAll(async () => {
  room = await exerciseClass()
  learner = room.learners[0]!
})
afterAll(() => room.connection.end())

const hung = async (): Promise<Record<string, number[]>> => {
  const found: Record<string, number[]> = {}
  for (const shelf of ['review', 'exercises', 'released'])
    found[shelf] = piecePageSchema
      .parse(await (await room.teacher.fetch(`/submissions?shelf=${shelf}&classId=${room.classId}`)).json())
      .items.map(p => p.id)
  const { counts } = shelfTotalsSchema.parse(
    await (await room.teacher.fetch(`/shelves?classId=${room.classId}`)).json()
  )
  expect(counts).toEqual(Object.fromEntries(Object.entries(found).map(([shelf, ids]) => [shelf, ids.length])))
  return found
}
const handedIn = async (words: Record<string, string> = {}): Promise<number> => {
  const answer = await learner.handIn(await picture(), { classId: `${room.classId}`, ...words }),
    { id } = (await answer.json()) as { id: number }
  await learner.measured(id)
  return id
}

it('follows a piece through release and withdrawal, and an exercise through its answers', async () => {
  const { teacher, classId, ids } = room,
    piece = await handedIn()
  expect(await hung()).toEqual({ review: [piece], exercises: [], released: [] })
  await teacher.json('PUT', `/submissions/${piece}/verdict`, { works: 'The boat.', verdict: 'Good.', revision: 0 })
  expect((await teacher.json('POST', `/submissions/${piece}/release`)).status).toBe(200)
  expect(await hung()).toEqual({ review: [], exercises: [], released: [piece] })
  expect((await teacher.json('POST', `/submissions/${piece}/withdraw`)).status).toBe(200)
  expect(await hung()).toEqual({ review: [piece], exercises: [], released: [] })

  const asked = { exercise: 'opposites', dueOn: day(3), note: '', key: 'each', learners: ids.slice(0, 1) },
    set = (await (await teacher.json('POST', `/classes/${classId}/exercises`, asked)).json()) as { id: number },
    assignment = (await setOf(room, set.id)).assignments[0]!.id,
    answer = { assignmentId: `${assignment}` }
  const first = await handedIn(answer),
    second = await handedIn(answer)
  expect(await hung()).toEqual({ review: [piece], exercises: [second], released: [] })
  await teacher.json('POST', `/assignments/${assignment}/confirm`, { outcome: 'again', word: 'Lighter lights.' })
  expect((await hung()).exercises).toEqual([])
  const third = await handedIn(answer)
  expect((await hung()).exercises).toEqual([third])
  await teacher.json('POST', `/assignments/${assignment}/confirm`, { word: 'Good enough.' })
  expect(await hung()).toEqual({ review: [piece], exercises: [], released: [] })
  expect(first).toBeLessThan(second)
})

it('is the same for every piece of the demo, whatever was done with it', async () => {
  const connection = await keeper(),
    [rows] = await connection.query<RowDataPacket[]>(SHELVES)
  await connection.end()
  expect(rows.length).toBeGreaterThan(20)
  expect(new Set(rows.map(row => row.waits))).toEqual(new Set(['review', 'exercises', null]))
  expect(rows.filter(row => row.waits !== row.is_waits || Boolean(row.released) !== Boolean(row.is_released))).toEqual(
    []
  )
})
