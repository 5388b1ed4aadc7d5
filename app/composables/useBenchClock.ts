/** Time worked on a piece: counted while the page is looked at and the hand is not away, sent in small amounts. */
import { useDocumentVisibility, useIdle, useIntervalFn } from '@vueuse/core'
import { z } from 'zod'

const AWAY_AFTER_MS = 60_000
const EVERY_S = 5
const SEND_FROM_S = 30

export function useBenchClock(): { readonly minutes: Ref<number>; readonly away: Readonly<Ref<boolean>> } {
  const bench = useBenchStore()
  const { idle } = useIdle(AWAY_AFTER_MS)
  const visibility = useDocumentVisibility()
  const away = computed(() => idle.value || visibility.value === 'hidden')
  const unsent = ref(0)
  let sent = 0

  /** What could not be sent is counted again with the next. */
  async function send(): Promise<void> {
    const seconds = Math.min(120, unsent.value),
      id = bench.piece.id
    if (seconds < 1 || !id || bench.released) return
    unsent.value -= seconds
    sent += seconds
    await api(z.object({}), `/submissions/${id}/time`, { method: 'POST', body: { seconds } }).catch(() => {
      unsent.value += seconds
      sent -= seconds
    })
  }
  useIntervalFn(() => {
    if (away.value || !bench.piece || bench.released) return
    unsent.value += EVERY_S
    if (unsent.value >= SEND_FROM_S) void send()
  }, EVERY_S * 1000)
  onBeforeUnmount(send)
  const atOpening = bench.critique.seconds ?? 0
  return { minutes: computed(() => Math.floor((atOpening + sent + unsent.value) / 60)), away }
}
