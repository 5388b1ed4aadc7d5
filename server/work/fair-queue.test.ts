import { expect, it } from 'vitest'
import { FairQueue, QueueFull } from './fair-queue'

/** Tasks that end when they are told to. */
function hands(queue: FairQueue) {
  const begun: string[] = [],
    ends = new Map<string, () => void>()
  const task = (name: string, signal?: AbortSignal): Promise<string> =>
    queue.run(
      name[0]!,
      () =>
        new Promise<string>(resolve => {
          begun.push(name)
          ends.set(name, () => resolve(name))
        }),
      signal
    )
  const end = async (name: string): Promise<void> => {
    ends.get(name)!()
    await new Promise(resolve => setTimeout(resolve))
  }
  return { begun, task, end }
}
const settled = (): Promise<void> => new Promise(resolve => setTimeout(resolve))

it('serves people in turn, however much one of them asks for', async () => {
  const { begun, task, end } = hands(new FairQueue(1))
  for (const name of ['a1', 'a2', 'a3', 'b1', 'c1']) void task(name)
  await settled()
  for (const name of ['a1', 'b1', 'c1', 'a2', 'a3']) await end(name)
  expect(begun).toEqual(['a1', 'b1', 'c1', 'a2', 'a3'])
})

it('gives nobody a second hand while somebody waits, and both to one when nobody does', async () => {
  const { begun, task, end } = hands(new FairQueue(2))
  for (const name of ['a1', 'a2', 'a3', 'b1']) void task(name)
  await settled()
  expect(begun).toEqual(['a1', 'a2'])
  await end('a1')
  expect(begun).toEqual(['a1', 'a2', 'b1'])
  await end('a2')
  expect(begun).toEqual(['a1', 'a2', 'b1', 'a3'])
})

it('goes on after a failure, lets a waiting task be called off, and has an end', async () => {
  const queue = new FairQueue(1, 2),
    { begun, task, end } = hands(queue),
    abort = new AbortController()
  await expect(queue.run('x', () => Promise.reject(new Error('broken')))).rejects.toThrow('broken')
  void task('a1')
  const off = task('b1', abort.signal)
  void task('c1')
  await expect(task('d1')).rejects.toThrow(QueueFull)
  abort.abort(new Error('called off'))
  await expect(off).rejects.toThrow('called off')
  await end('a1')
  expect([begun, queue.length]).toEqual([['a1', 'c1'], 0])
})
