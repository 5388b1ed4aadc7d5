/** On which shelf a piece hangs, from its hand-in to its end; and that no row of the database says otherwise. */
import type { RowDataPacket } from 'mysql2/promise'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { onShelfSchema, piecePageSchema, shelfTotalsSchema, type OnShelf } from '../../shared/pieces/submission'
import { SHELVES } from '../consistency'
import { keeper, Person, picture } from './client'
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

it('is narrowed to one learner, or to what was handed in for one exercise', async () => {
  const { teacher, classId, ids, learners } = room,
    list = async (query: string): Promise<number[]> =>
      piecePageSchema
        .parse(await (await teacher.fetch(`/submissions?classId=${classId}&${query}`)).json())
        .items.map(p => p.id)
  const own = await handedIn({ title: 'Of the first' }),
    other = ((await (await learners[1]!.handIn(await picture(), { classId: `${classId}` })).json()) as { id: number })
      .id
  const answers: number[] = []
  for (const exercise of ['opposites', 'triad']) {
    const asked = { exercise, dueOn: day(3), note: '', key: 'each', learners: ids.slice(0, 1) },
      set = (await (await teacher.json('POST', `/classes/${classId}/exercises`, asked)).json()) as { id: number }
    answers.push(await handedIn({ assignmentId: `${(await setOf(room, set.id)).assignments[0]!.id}` }))
  }
  expect(await list(`shelf=review&learnerId=${ids[1]}`)).toEqual([other])
  expect(await list(`shelf=review&learnerId=${ids[0]}`)).toContain(own)
  expect(await list(`shelf=review&learnerId=${ids[2]}`)).toEqual([])
  expect(await list('shelf=exercises&exercise=triad')).toEqual([answers[1]])
  expect(await list(`shelf=exercises&exercise=opposites&learnerId=${ids[0]}`)).toEqual([answers[0]])
  expect(await list(`shelf=exercises&exercise=opposites&learnerId=${ids[1]}`)).toEqual([])
  const on = async (who: Person, shelf: string): Promise<OnShelf> =>
    onShelfSchema.parse(await (await who.fetch(`/shelves/narrowed?shelf=${shelf}&classId=${classId}`)).json())
  expect((await on(teacher, 'review')).learners).toEqual([
    { id: ids[0], name: 'Alma', pieces: 2 },
    { id: ids[1], name: 'Bo', pieces: 1 }
  ])
  expect((await on(teacher, 'exercises')).exercises).toEqual(
    expect.arrayContaining([
      { key: 'opposites', pieces: 1 },
      { key: 'triad', pieces: 1 }
    ])
  )
  // Of a class that somebody does not teach there is nothing, whatever is asked for.
  const stranger = await Person.signedIn('tamsin')
  expect(await on(stranger, 'review')).toEqual({ learners: [], exercises: [] })
  expect((await (await stranger.fetch(`/submissions?shelf=review&classId=${classId}`)).json()).items).toEqual([])
})

it('is counted to a thousand, and no further', async () => {
  const { connection, teacher, classId } = room,
    piece = await handedIn()
  const insert = (count: number): string =>
    `INSERT INTO submissions (class_id, learner_id, picture_id, title, stage, handed_in_at, waits)
     SELECT class_id, learner_id, picture_id, 'One of many', stage, handed_in_at + INTERVAL q.seq SECOND, 'review'
     FROM submissions s JOIN seq_1_to_${count} q WHERE s.id = ?`
  const totals = async () => shelfTotalsSchema.parse(await (await teacher.fetch(`/shelves?classId=${classId}`)).json())
  const before = await totals()
  await connection.query(insert(1000 - before.counts.review), [piece])
  expect(await totals()).toMatchObject({ counts: { review: 1000 }, oldest: before.oldest })
  await connection.query(insert(500), [piece])
  expect(await totals()).toMatchObject({ counts: { review: 1001 }, oldest: before.oldest })
  await connection.query("DELETE FROM submissions WHERE title = 'One of many'")
  expect((await totals()).counts).toEqual(before.counts)
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
