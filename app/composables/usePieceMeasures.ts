/**
 * The piece measured in its worker whenever what is known of it changes: an area drawn, a pair picked, another wheel.
 * What the server measured holds until then.
 */
import { sourceOf } from '~~/core/measure/source'
import type { UsedPicture } from './usePicture'

export function usePieceMeasures({ ask, ready, referenceReady }: UsedPicture, loaded: Readonly<Ref<boolean>>): void {
  const bench = useBenchStore()
  const source = computed(() => bench.report && sourceOf(bench.report))
  /** What was measured last, by the server or here. */
  let measured: string | null = null

  const measure = latest(async () => {
    const { known } = bench,
      of = source.value,
      now = JSON.stringify(known)
    if (!ready.value || !loaded.value || bench.released || !of || measured === now) return
    const on = bench.piece.id,
      found = await ask(w => w.piece(known, of))
    if (found === null || bench.piece.id !== on) return
    bench.measures = found
    measured = now
  })
  watch([loaded, () => bench.report !== null], ([now]) => {
    if (now && measured === null && bench.critique.current) measured = JSON.stringify(bench.known)
    void measure(undefined)
  })
  watch([ready, referenceReady, () => JSON.stringify(bench.known)], () => void measure(undefined))
}
