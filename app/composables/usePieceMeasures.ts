/**
 * The piece measured in its worker whenever what is known of it changes: an area drawn, a pair picked, another wheel.
 * What the server measured holds until then. One question in flight; the newest is asked next.
 */
import { sourceOf } from '~~/core/measure/picture'
import type { UsedPicture } from './usePicture'

export function usePieceMeasures({ client, ready, referenceReady }: UsedPicture, loaded: Readonly<Ref<boolean>>): void {
  const bench = useBenchStore()
  const source = computed(() => bench.report && sourceOf(bench.report))
  /** What was measured last, by the server or here. */
  let measured: string | null = null
  let busy = false

  async function measure(): Promise<void> {
    if (busy || !ready.value || !loaded.value || bench.released) return
    busy = true
    for (let now = JSON.stringify(bench.known); source.value && measured !== now; now = JSON.stringify(bench.known)) {
      const known = bench.known,
        of = source.value,
        on = bench.piece.id
      const found = await client.call(w => w.piece(known, of)).catch(() => null)
      if (found === null || bench.piece.id !== on) break
      bench.measures = found
      measured = now
    }
    busy = false
  }
  watch([loaded, () => bench.report !== null], ([now]) => {
    if (now && measured === null && bench.critique.current) measured = JSON.stringify(bench.known)
    void measure()
  })
  watch([ready, referenceReady, () => JSON.stringify(bench.known)], () => void measure())
}
