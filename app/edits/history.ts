/** Undo and redo of what is kept on the server: each step knows how to take itself back. */
import { computed, shallowRef, type Ref } from 'vue'

export interface Step {
  readonly redo: () => Promise<unknown>
  readonly undo: () => Promise<unknown>
}

export interface History {
  readonly canUndo: Ref<boolean>
  readonly canRedo: Ref<boolean>
  readonly done: (step: Step) => void
  readonly undo: () => Promise<void>
  readonly redo: () => Promise<void>
  readonly clear: () => void
}

/** @param run makes the change; resolves to null when it failed, and then nothing moves. */
export function createHistory(run: (change: () => Promise<unknown>) => Promise<unknown>): History {
  const past = shallowRef<readonly Step[]>([]),
    future = shallowRef<readonly Step[]>([])
  /** One at a time: two quick presses are two steps, not the same one twice. */
  let queue: Promise<unknown> = Promise.resolve()
  const afterLast = (work: () => Promise<void>): Promise<void> => {
    const next = queue.then(work)
    queue = next.catch(() => {})
    return next
  }
  return {
    canUndo: computed(() => past.value.length > 0),
    canRedo: computed(() => future.value.length > 0),
    done(step) {
      past.value = [...past.value, step]
      future.value = []
    },
    undo: () =>
      afterLast(async () => {
        const step = past.value.at(-1)
        if (!step || (await run(step.undo)) === null) return
        past.value = past.value.slice(0, -1)
        future.value = [...future.value, step]
      }),
    redo: () =>
      afterLast(async () => {
        const step = future.value.at(-1)
        if (!step || (await run(step.redo)) === null) return
        future.value = future.value.slice(0, -1)
        past.value = [...past.value, step]
      }),
    clear() {
      past.value = future.value = []
    }
  }
}
