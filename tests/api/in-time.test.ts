/** What came later is told by its moment, not by its number: the servers of a cluster number each for themselves. */
import { expect, it } from 'vitest'
import { piecePageSchema } from '../../shared/pieces/submission'
import { versionListSchema } from '../../shared/pieces/versions'
import { picture } from './client'
import { day, exerciseClass, setOf } from './exercise-class'

it('lists, versions and answers to an exercise are in the order in which they were handed in', async () => {
  const room = await exerciseClass(),
    { teacher, connection, classId, ids } = room,
    learner = room.learners[0]!,
    asked = { exercise: 'opposites', dueOn: day(3), note: '', key: 'each', learners: ids.slice(0, 1) },
    set = (await (await teacher.json('POST', `/classes/${classId}/exercises`, asked)).json()) as { id: number },
    assignment = (await setOf(room, set.id)).assignments[0]!.id
  const handIn = async (words: Record<string, string> = {}): Promise<number> =>
    (await (await learner.handIn(await picture(), { classId: `${classId}`, ...words })).json()).id
  const first = await handIn(),
    third = await handIn({ earlierId: `${first}` }),
    second = await handIn({ earlierId: `${first}` }),
    latest = await handIn({ assignmentId: `${assignment}` }),
    before = await handIn({ assignmentId: `${assignment}` })
  // As if each had been numbered by another server than the one before it.
  for (const [later, sooner] of [
    [third, second],
    [latest, before]
  ] as const)
    await connection.query(
      `UPDATE submissions l JOIN submissions s ON s.id = ? SET l.handed_in_at = s.handed_in_at + INTERVAL 1 SECOND,
         l.waits = s.waits, s.waits = IF(s.assignment_id IS NULL, s.waits, NULL) WHERE l.id = ?`,
      [sooner, later]
    )
  const versions = versionListSchema.parse(await (await learner.fetch(`/submissions/${first}/versions`)).json())
  expect(versions.map(v => v.id)).toEqual([first, second, third])
  const piece = (await (await learner.fetch(`/submissions/${third}`)).json()) as { version: number; earlierId: number }
  expect([piece.version, piece.earlierId]).toEqual([3, second])
  expect((await setOf(room, set.id)).assignments[0]!.handIn!.submissionId).toBe(latest)
  // The learner's own, latest first, a window at a time.
  const own: number[] = []
  for (let after: number | null = null, turn = 0; turn < 5; turn++) {
    const page = piecePageSchema.parse(
      await (await learner.fetch(`/submissions?most=2${after === null ? '' : `&after=${after}`}`)).json()
    )
    own.push(...page.items.map(p => p.id))
    if (page.next === null) break
    after = page.next
  }
  expect(own.filter(id => id !== latest && id !== before)).toEqual([third, second, first])
  expect(own.indexOf(latest)).toBeLessThan(own.indexOf(before))
  // Asked for again, it is the latest that was.
  await teacher.json('POST', `/assignments/${assignment}/confirm`, { outcome: 'again', word: 'Lighter.' })
  expect((await setOf(room, set.id)).assignments[0]!.handIn!.submissionId).toBe(latest)
  await connection.end()
}, 60_000)
