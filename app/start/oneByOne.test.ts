import { expect, it } from 'vitest'
import { oneByOne, nextTask } from './oneByOne'

it('brings one part after another, and lets others have the page in between', async () => {
  const log: string[] = []
  const part = (name: string) => async () => {
    log.push(`${name} asked for`)
    await Promise.resolve()
    log.push(`${name} there`)
    // What waits for the page: it must come before the next part.
    setTimeout(() => log.push(`someone else after ${name}`))
  }
  await oneByOne([part('a'), part('b')])
  expect(log).toEqual([
    'a asked for',
    'a there',
    'someone else after a',
    'b asked for',
    'b there',
    'someone else after b'
  ])
})

it('stops at a part that cannot be fetched, and says so', async () => {
  const log: string[] = []
  await expect(
    oneByOne([
      async () => {
        throw new Error('gone')
      },
      async () => {
        log.push('never')
      }
    ])
  ).rejects.toThrow('gone')
  expect(log).toEqual([])
})

it('a task of its own comes after every promise that is already due', async () => {
  const log: string[] = []
  const next = nextTask().then(() => log.push('task'))
  for (let i = 0; i < 20; i++)
    void Promise.resolve()
      .then(() => Promise.resolve())
      .then(() => log.push('promise'))
  await next
  expect(log.at(-1)).toBe('task')
  expect(log).toHaveLength(21)
})
