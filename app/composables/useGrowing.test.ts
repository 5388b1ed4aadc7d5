import { expect, it } from 'vitest'
import { effectScope, nextTick, ref, type Ref } from 'vue'
import { nextTask } from '../start/oneByOne'
import { useGrowing } from './useGrowing'

const numbers = (n: number): number[] => Array.from({ length: n }, (_, i) => i)
function growing(list: Ref<number[]>, of = ref('review')) {
  const scope = effectScope(),
    shown = scope.run(() => useGrowing(list, 4, () => of.value))!
  return { scope, shown, of }
}
async function lengths(shown: Readonly<Ref<readonly unknown[]>>, tasks: number): Promise<number[]> {
  const seen = [shown.value.length]
  for (let i = 0; i < tasks; i++) {
    await nextTask()
    seen.push(shown.value.length)
  }
  return [...new Set(seen)]
}

it('shows a few more with each task, in their order, until all are there', async () => {
  const list = ref(numbers(10)),
    { shown } = growing(list)
  expect(await lengths(shown, 8)).toEqual([0, 4, 8, 10])
  expect(shown.value).toEqual(numbers(10))
})

it('what is there stays when the list is fetched again, and what is new comes after it', async () => {
  const list = ref(numbers(6)),
    { shown } = growing(list)
  await lengths(shown, 6)
  list.value = numbers(6)
  expect(shown.value).toHaveLength(6)
  list.value = numbers(30)
  await nextTick()
  expect(shown.value.length).toBeLessThan(30)
  await lengths(shown, 12)
  expect(shown.value).toHaveLength(30)
})

it('another list begins anew, and grows to its own end', async () => {
  const list = ref(numbers(20)),
    { shown, of } = growing(list)
  await lengths(shown, 8)
  of.value = 'released'
  list.value = numbers(9)
  expect(shown.value).toHaveLength(0)
  expect(await lengths(shown, 8)).toEqual([0, 4, 8, 9])
})

it('stops with the page it belongs to', async () => {
  const list = ref(numbers(40)),
    { shown, scope } = growing(list)
  await lengths(shown, 2)
  const before = shown.value.length
  scope.stop()
  await lengths(shown, 6)
  expect(shown.value.length).toBeLessThanOrEqual(before + 4)
})
