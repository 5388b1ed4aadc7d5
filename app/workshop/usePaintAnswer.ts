/** Questions to the paint worker, asked anew when what they are about changes; the last answer stays meanwhile. */
import { openPaintWorker, type WorkerClient } from '~/workers/client'
import type { PaintWorker } from '~/workers/paint-protocol'

let shared: WorkerClient<PaintWorker> | null = null

/** One worker for the whole page: it holds nothing of anybody's. */
const client = (): WorkerClient<PaintWorker> => (shared ??= openPaintWorker())

/**
 * @param ask null while there is nothing to ask. @returns `answer` null before the first; `asking` while it works;
 * `problem` in words.
 */
export function usePaintAnswer<T>(ask: () => ((worker: PaintWorker) => Promise<T>) | null) {
  const answer = shallowRef<T | null>(null),
    problem = ref(''),
    asking = ref(false)
  let turn = 0
  watch(
    ask,
    async question => {
      const own = ++turn
      if (!question) {
        answer.value = null
        asking.value = false
        return
      }
      asking.value = true
      try {
        const found = await client().call(question)
        // An older question answered late is nobody's.
        if (own !== turn) return
        answer.value = found
        problem.value = ''
      } catch (error) {
        if (own === turn) problem.value = error instanceof RangeError ? error.message : messageOf(error)
      } finally {
        if (own === turn) asking.value = false
      }
    },
    { immediate: true }
  )
  return { answer, problem, asking }
}
