/** The newest question wins, one at a time, and a failure does not stop the next. */
import { expect, it } from 'vitest'
import { latest } from './latest'

it('answers the first and the newest, never two at once', async () => {
  const answered: number[] = []
  let inFlight = 0
  const ask = latest(async (n: number) => {
    expect(++inFlight).toBe(1)
    await Promise.resolve()
    answered.push(n)
    inFlight--
  })
  await Promise.all([1, 2, 3, 4].map(ask))
  await ask(5)
  expect(answered).toEqual([1, 4, 5])
})

it('goes on after a failure', async () => {
  const ask = latest((n: number) => (n === 1 ? Promise.reject(new Error('no')) : Promise.resolve()))
  await expect(ask(1)).rejects.toThrow('no')
  await expect(ask(2)).resolves.toBeUndefined()
})
