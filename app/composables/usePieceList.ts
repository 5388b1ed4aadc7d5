/**
 * Pieces of one shelf: a window when it is opened, the next as the end of the last comes into sight. While any of them
 * is being measured those alone are asked after, less and less often as long as nothing changes.
 */
import { useTimeoutFn } from '@vueuse/core'
import { nextTask } from '~/start/oneByOne'
import {
  piecePageSchema,
  submissionListSchema,
  type ListedSubmission,
  type PiecePage,
  type Shelf
} from '~~/shared/pieces/submission'

const FIRST_LOOK_MS = 1500,
  SLOWER = 1.6,
  LAST_LOOK_MS = 20_000
const underWay = ({ measurement }: ListedSubmission): boolean =>
  measurement.state === 'queued' || measurement.state === 'measuring'

/** @property classId one of the classes, @property learner and @property exercise; null for all of them. */
export interface Narrowing {
  readonly classId: number | null
  readonly learner: number | null
  readonly exercise: string | null
}

/** @param shelf null for a learner's own pieces. */
export function usePieceList(
  shelf: () => Shelf | null,
  of: () => Narrowing = () => ({ classId: null, learner: null, exercise: null })
) {
  const pieces = shallowRef<readonly ListedSubmission[]>([])
  const next = ref<number | null>(null),
    ready = ref(false),
    problem = ref('')
  const wait = ref(FIRST_LOOK_MS)
  /** Counts the openings: what was asked for before the last one is no longer wanted. */
  let opening = 0,
    fetching = false

  const page = (after: number | null): Promise<PiecePage> => {
    const { classId, learner, exercise } = of()
    const asked = new URLSearchParams({
      ...(shelf() ? { shelf: shelf()! } : {}),
      ...(classId === null ? {} : { classId: `${classId}` }),
      ...(learner === null ? {} : { learnerId: `${learner}` }),
      ...(exercise === null ? {} : { exercise }),
      ...(after === null ? {} : { after: `${after}` })
    })
    return api(piecePageSchema, `/submissions?${asked}`)
  }
  async function take(after: number | null): Promise<void> {
    const mine = opening
    try {
      const found = await page(after)
      await nextTask()
      if (mine !== opening) return
      pieces.value = after === null ? found.items : [...pieces.value, ...found.items]
      next.value = found.next
      problem.value = ''
      lookSoon()
    } catch (error) {
      if (mine === opening) problem.value = messageOf(error)
    }
    if (mine === opening) ready.value = true
  }
  async function open(): Promise<void> {
    opening++
    pieces.value = []
    next.value = null
    ready.value = false
    await take(null)
  }
  async function more(): Promise<void> {
    if (next.value === null || fetching) return
    fetching = true
    await take(next.value)
    fetching = false
  }

  async function look(): Promise<void> {
    const mine = opening,
      ids = pieces.value
        .filter(underWay)
        .map(p => p.id)
        .slice(0, 100)
    if (ids.length === 0) return
    const found = await api(submissionListSchema, `/submissions/some?ids=${ids.join(',')}`).catch(() => [])
    if (mine !== opening) return
    const now = new Map(found.map(p => [p.id, p]))
    const changed = ids.some(id => now.has(id) && !underWay(now.get(id)!))
    if (changed) pieces.value = pieces.value.map(p => now.get(p.id) ?? p)
    wait.value = changed ? FIRST_LOOK_MS : Math.min(LAST_LOOK_MS, wait.value * SLOWER)
    if (pieces.value.some(underWay)) timer.start()
  }
  const timer = useTimeoutFn(() => void look(), wait, { immediate: false })
  function lookSoon(): void {
    wait.value = FIRST_LOOK_MS
    if (pieces.value.some(underWay)) timer.start()
  }
  watch([shelf, () => JSON.stringify(of())], open, { immediate: true })
  return { pieces, next, ready, problem, more }
}
