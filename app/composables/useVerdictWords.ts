/**
 * The words of a verdict under the hand: saved soon after the last letter, kept in this browser until the server has
 * them, and sent again while it does not answer.
 */
import { useDebounceFn, useEventListener, useTimeoutFn } from '@vueuse/core'
import { z } from 'zod'
import { keptWords } from '~/utils/kept'

const SOON_MS = 900,
  AGAIN_MS = 2000,
  SLOWER = 2,
  LAST_AGAIN_MS = 30_000
const keptSchema = z.object({ works: z.string(), verdict: z.string(), over: z.int() })

export function useVerdictWords() {
  const bench = useBenchStore(),
    edits = useEditsStore(),
    session = useSessionStore()
  const kept = keptWords(session.person.id, `words:${bench.piece.id}`, keptSchema)
  const works = ref(bench.critique.works),
    verdict = ref(bench.critique.verdict)
  const changed = computed(() => works.value !== bench.critique.works || verdict.value !== bench.critique.verdict)

  const left = bench.released ? null : kept.read()
  // Written over what was there when they were begun: what came meanwhile is offered beside them.
  edits.openWords(left?.over)
  if (left) [works.value, verdict.value] = [left.works, left.verdict]
  watch(
    () => edits.theirs,
    () => {
      ;[works.value, verdict.value] = [bench.critique.works, bench.critique.verdict]
      kept.drop()
      edits.openWords()
    }
  )

  const wait = ref(AGAIN_MS)
  const again = useTimeoutFn(() => void write(), wait, { immediate: false })
  async function write(): Promise<void> {
    again.stop()
    if (bench.released) return
    if (!changed.value) return kept.drop()
    await edits.writeVerdict(works.value, verdict.value)
    if (edits.unanswered) {
      again.start()
      wait.value = Math.min(LAST_AGAIN_MS, wait.value * SLOWER)
    } else {
      wait.value = AGAIN_MS
      if (!changed.value) kept.drop()
    }
  }
  const writeSoon = useDebounceFn(write, SOON_MS)
  function edited(): void {
    edits.saving = 'unsaved'
    kept.keep({ works: works.value, verdict: verdict.value, over: edits.wordsOver() })
    void writeSoon()
  }
  useEventListener(document, 'visibilitychange', () => {
    if (document.visibilityState === 'hidden') void write()
  })
  onBeforeUnmount(write)
  if (left) void write()
  return { works, verdict, write, edited }
}
