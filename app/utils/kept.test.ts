/** What the browser keeps until the server has it. */
import { beforeEach, expect, it, vi } from 'vitest'
import { z } from 'zod'
import { dropAllKept, keptWords } from './kept'
import { keptCorrection } from './keptCorrection'
import type { Correction } from '~~/shared/critique'

/** The browser's own store, as far as it is used: named entries that are also the object's keys. */
class Store {
  getItem(key: string): string | null {
    return ((this as Record<string, unknown>)[key] as string) ?? null
  }
  setItem(key: string, value: string): void {
    if (value.length > 5000) throw new Error('no room')
    Object.assign(this, { [key]: value })
  }

  removeItem(key: string): void {
    Reflect.deleteProperty(this, key)
  }
}
beforeEach(() => {
  vi.stubGlobal('localStorage', new Store())
})

it("is its writer's, fits its shape or is nothing, and goes with the sign-out", () => {
  const mine = keptWords(1, 'words:7', z.object({ works: z.string() })),
    other = keptWords(2, 'words:7', z.object({ works: z.string() }))
  mine.keep({ works: 'The light' })
  expect([mine.read(), other.read(), keptWords(1, 'words:7', z.object({ verdict: z.string() })).read()]).toEqual([
    { works: 'The light' },
    null,
    null
  ])
  mine.keep({ works: 'x'.repeat(6000) }) // no room: what was kept before stays, and nothing breaks
  expect(mine.read()).toEqual({ works: 'The light' })
  localStorage.setItem('of something else', '1')
  dropAllKept()
  expect([mine.read(), localStorage.getItem('of something else')]).toEqual([null, '1'])
})

it('a correction is taken up again only over what it was written over', () => {
  const input = {
    station: 'values',
    area: null,
    mark: null,
    readingId: null,
    reason: '',
    what: '',
    todo: 'Darken',
    target: null,
    trial: null,
    marked: 1,
    carriedFrom: null
  } as const
  const opened: Correction = { ...input, what: 'Flat', id: 4, order: 1 }
  keptCorrection(1, 9).keep({ input, over: null })
  keptCorrection(1, 9, 4).keep({ input, over: opened })
  expect(keptCorrection(1, 9).since(undefined)?.input.todo).toBe('Darken')
  expect(keptCorrection(1, 9, 4).since(opened)?.input.todo).toBe('Darken')
  expect(keptCorrection(1, 9, 4).since({ ...opened, what: 'Flat in the lights' })).toBeNull()
})
