import type { ProbeReading } from '~/workers/protocol'
import type { UsedPicture } from './usePicture'

/** The probe asks as the pointer moves, one question in flight; the newest place is asked next. */
export function useProbe(picture: UsedPicture) {
  const bench = useBenchStore()
  const probe = ref<ProbeReading | null>(null)
  let asked: { x: number; y: number } | null = null,
    asking = false
  async function point(at: { x: number; y: number } | null): Promise<void> {
    asked = at
    if (!at) probe.value = null
    if (asking || !picture.ready.value) return
    asking = true
    while (asked) {
      const now: { x: number; y: number } = asked
      asked = null
      probe.value = await picture.client.call(w => w.probe(now.x, now.y, bench.known.wheel)).catch(() => null)
    }
    asking = false
  }
  return { probe, point }
}
