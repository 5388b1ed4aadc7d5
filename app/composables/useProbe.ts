import type { ProbeReading } from '~/workers/protocol'
import { latest } from '~/utils/latest'
import type { UsedPicture } from './usePicture'

/** The probe asks as the pointer moves; off the picture it is empty. */
export function useProbe({ ask, ready }: UsedPicture) {
  const bench = useBenchStore()
  const probe = ref<ProbeReading | null>(null)
  const point = latest(async (at: { x: number; y: number } | null) => {
    if (at && !ready.value) return
    probe.value = at && (await ask(w => w.probe(at.x, at.y, bench.known.wheel)))
  })
  return { probe, point }
}
