/** Changes that can be taken back: something new, something removed, one version put over another. */
import { z } from 'zod'
import { AppError } from '~~/shared/errors'
import { createdSchema } from '~~/shared/pieces/submission'
import type { Sending, Told } from './sending'

/** One version put over another. @property seen the version that was being changed, where it lay open for a while. */
interface Replacing<T, U extends T> {
  readonly what: string
  readonly words: (version: T) => string
  readonly current: () => U
  readonly mine: (before: U) => T
  readonly put: (next: T, over: T) => Promise<unknown>
  readonly seen?: U
}

export interface Steps {
  readonly send: (method: 'PUT' | 'DELETE', rest: string, body?: unknown) => Promise<unknown>
  readonly step: <T>(
    change: { redo: () => Promise<T>; undo: () => Promise<unknown> },
    told?: Told<T>
  ) => Promise<T | null>
  /** Something new, which redo makes again under another id. */
  readonly create: (rest: string, body: unknown) => Promise<number | null>
  readonly remove: (rest: string, id: number, body: unknown) => Promise<unknown>
  readonly replace: <T, U extends T>(replacing: Replacing<T, U>) => Promise<unknown>
}

export function createSteps({ keep, at, history }: Sending): Steps {
  const send: Steps['send'] = (method, rest, body) => api(z.object({}), at(rest), { method, body })
  const make = async (rest: string, body: unknown): Promise<number> =>
    (await api(createdSchema, at(rest), { method: 'POST', body })).id

  const step: Steps['step'] = async (change, told) => {
    const result = await keep(change.redo, told)
    if (result !== null) history.done(change)
    return result
  }
  return {
    send,
    step,
    create(rest, body) {
      let id = 0
      return step({ redo: async () => (id = await make(rest, body)), undo: () => send('DELETE', `${rest}/${id}`) })
    },
    remove(rest, id, body) {
      let current = id
      return step({
        redo: () => send('DELETE', `${rest}/${current}`),
        undo: async () => {
          current = await make(rest, body)
        }
      })
    },
    replace<T, U extends T>({ what, words, current, mine, put, seen }: Replacing<T, U>) {
      let before: U,
        next: T,
        opened = seen
      const redo = (): Promise<unknown> => {
        before = opened ?? current()
        opened = undefined
        return put((next = mine(before)), before)
      }
      return step(
        { redo, undo: () => put(before, next) },
        { what, mine: words(mine(current())), theirs: () => words(current()), again: redo }
      )
    }
  }
}

/** What another window may have removed meanwhile. @throws AppError stale when it did. */
export function still<T extends { id: number }>(list: readonly T[], id: number): T {
  const found = list.find(item => item.id === id)
  if (!found) throw new AppError('stale', 'This was removed in another window meanwhile.')
  return found
}
