/**
 * How changes are kept: one after another, each shown as kept or with the reason why not, none over what another window
 * wrote. A change goes to the piece it was made on: by then another may lie on the bench.
 */
import type { Ref, ShallowRef } from 'vue'
import { AppError, type ErrorCode } from '~~/shared/errors'
import { createHistory, type History } from './history'

export type Saving = 'saved' | 'saving' | 'unsaved'

/** A change that another window was quicker with: both versions, and how to let one's own stand after all. */
export interface Conflict {
  readonly what: string
  readonly mine: string
  readonly theirs: string
  readonly keepMine: () => Promise<unknown>
}

/** How a change is told when it meets another. */
export interface Told<T> {
  readonly what: string
  readonly mine: string
  readonly theirs: () => string
  readonly again: () => Promise<T>
}

export interface Sending {
  readonly saving: Ref<Saving>
  /** Why the last change is not kept; empty when it is. */
  readonly problem: Ref<string>
  /** The last change was not refused but not heard: the same, sent again, may well be taken. */
  readonly unanswered: Readonly<Ref<boolean>>
  readonly conflict: ShallowRef<Conflict | null>
  /** Counts how often another window's version was taken: what is being written here starts from it again. */
  readonly theirs: Ref<number>
  readonly history: History
  /** Makes a change when those before it are made. Null when it failed: then its reason is shown. */
  readonly keep: <T>(change: () => Promise<T>, told?: Told<T>) => Promise<T | null>
  /** A path of the piece that the change under way was made on. */
  readonly at: (rest: string) => string
}

/** @param path of the piece on the bench, now. @param refresh fetches its critique. */
export function createSending({
  path,
  refresh
}: {
  path: (rest: string) => string
  refresh: () => Promise<void>
}): Sending {
  const saving = ref<Saving>('saved'),
    problem = ref(''),
    failure = ref<ErrorCode | null>(null)
  const conflict = shallowRef<Conflict | null>(null),
    theirs = ref(0)
  let last: Promise<unknown> = Promise.resolve(),
    piece = ''

  async function run<T>(change: () => Promise<T>, on: string, told?: Told<T>): Promise<T | null> {
    const here = (): boolean => path('') === on
    piece = on
    saving.value = 'saving'
    try {
      const result = await change()
      if (here()) await refresh()
      kept()
      return result
    } catch (error) {
      saving.value = 'unsaved'
      problem.value = messageOf(error)
      failure.value = error instanceof AppError ? error.code : null
      if (told && here() && error instanceof AppError && error.code === 'stale') await offer(told)
      return null
    }
  }
  function kept(): void {
    saving.value = 'saved'
    problem.value = ''
    failure.value = null
  }
  /**
   * Both versions, once the other one is fetched; where they are the same, an answer was lost and nothing else. Where
   * that fails too, the sentence of the refusal stays.
   */
  async function offer<T>(told: Told<T>): Promise<void> {
    try {
      await refresh()
      if (told.mine === told.theirs()) {
        theirs.value++
        return kept()
      }
      conflict.value = { what: told.what, mine: told.mine, theirs: told.theirs(), keepMine: () => keep(told.again) }
    } catch (error) {
      problem.value = messageOf(error)
    }
  }
  function keep<T>(change: () => Promise<T>, told?: Told<T>): Promise<T | null> {
    const on = path(''),
      next = last.then(() => run(change, on, told))
    last = next
    return next
  }
  const unanswered = computed(() => failure.value === 'unexpected' || failure.value === 'unavailable')
  return { saving, problem, unanswered, conflict, theirs, history: createHistory(keep), keep, at: rest => piece + rest }
}
