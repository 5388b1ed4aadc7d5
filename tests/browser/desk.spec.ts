/** A desk with more on it than is seen at one look. */
import { expect, test } from '@playwright/test'
import { day, exerciseClass, setOf } from '../api/exercise-class'
import { picture } from '../api/client'
import { accessible } from './bench-page'

test('a long desk is narrowed to one learner and opened again; what is seen at one look is not', async ({
  page,
  context
}) => {
  const room = await exerciseClass(),
    { teacher, learners, classId, ids, connection } = room
  await connection.end()
  const file = await picture(60, 44)
  for (let i = 0; i < 41; i++)
    await learners[0]!.handIn(file, { classId: `${classId}`, title: `Number ${i}`, stage: 'study' })
  await learners[1]!.handIn(file, { classId: `${classId}`, title: 'Bo’s own' })
  for (const [exercise, title] of [
    ['opposites', 'An answer'],
    ['triad', 'Another answer']
  ] as const) {
    const asked = { exercise, dueOn: day(3), note: '', key: 'each', learners: ids.slice(1, 2) },
      set = (await (await teacher.json('POST', `/classes/${classId}/exercises`, asked)).json()) as { id: number },
      assignmentId = `${(await setOf(room, set.id)).assignments[0]!.id}`
    await learners[1]!.handIn(file, { classId: `${classId}`, title, assignmentId })
  }
  const [name, ...value] = teacher.cookie.split('=')
  await context.addCookies([{ name: name!, value: value.join('='), url: teacher.origin }])
  await page.goto('/desk')
  const pieces = page.locator('a.piece'),
    whose = page.getByRole('combobox', { name: 'Of one learner' })
  await expect(pieces.first()).toContainText('Number 0')
  await expect(whose).toBeVisible()
  await accessible(page)
  await whose.fill('bo')
  await page.getByRole('option', { name: 'Bo one piece' }).click()
  await expect(pieces).toHaveCount(1)
  await expect(pieces).toContainText('Bo’s own')
  await page.getByRole('button', { name: 'Clear Of one learner' }).click()
  await expect(pieces.first()).toContainText('Number 0')
  // What is seen at one look is not searched.
  await page.getByRole('tab', { name: 'Exercises to confirm' }).click()
  await expect(pieces).toHaveCount(2)
  await expect(whose).toBeHidden()
})
