/**
 * What is said of a piece in front of others, as it is written: saved soon after the last letter, kept in this browser
 * until the server has it, and sent again while it does not answer.
 */
import { useDebounceFn, useTimeoutFn } from '@vueuse/core'
import { z } from 'zod'
import { keptWords } from '~/utils/kept'

const SOON_MS = 700,
  AGAIN_MS = 3000

export function useSaid(sittingId: number, piece: { readonly id: number; readonly said: string }) {
  const kept = keptWords(useSessionStore().person.id, `said:${sittingId}:${piece.id}`, z.string())
  const said = ref(kept.read() ?? piece.said),
    problem = ref('')
  let saved = piece.said,
    under: Promise<void> = Promise.resolve()
  const unsaved = ref(said.value !== saved)
  const again = useTimeoutFn(() => void write(), AGAIN_MS, { immediate: false })

  async function send(): Promise<void> {
    again.stop()
    const words = said.value
    if (words === saved) return
    try {
      await api(z.object({}), `/sittings/${sittingId}/said/${piece.id}`, { method: 'PUT', body: { said: words } })
      saved = words
      problem.value = ''
      unsaved.value = said.value !== saved
      if (!unsaved.value) kept.drop()
    } catch (error) {
      problem.value = messageOf(error)
      again.start()
    }
  }
  /** One after another: what was typed last is what stays. */
  const write = (): Promise<void> => (under = under.then(send))
  const writeSoon = useDebounceFn(write, SOON_MS)
  watch(said, words => {
    unsaved.value = words !== saved
    kept.keep(words)
    void writeSoon()
  })
  onBeforeUnmount(() => void write())
  if (unsaved.value) void write()
  return { said, unsaved, problem, write }
}
