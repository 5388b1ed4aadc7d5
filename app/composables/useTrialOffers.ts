/**
 * What a trial can be begun with: the light of the other materials, and blacks with a colour where there is flat black.
 */
import { linearOfHex } from '~~/core/colour/srgb'
import { isMeasured } from '~~/core/measure/report'
import { areaHolds, boundsOf, type Area } from '~~/core/picture/area'
import { useBenchPicture } from './usePicture'

export function useTrialOffers(areaOf: () => Area | null) {
  const bench = useBenchStore(),
    { ask } = useBenchPicture()
  /** The light that a material picked here would have if it stayed in the light of the others. */
  const expected = shallowRef<readonly [number, number, number] | null>(null)
  watch(
    [() => bench.report?.light, areaOf],
    async ([light, area]) => {
      expected.value = null
      const pair = area && bench.notes.pairs.find(p => p.shadow && areaHolds(area, p.shadow.x, p.shadow.y))
      if (!pair) return
      const own = await ask(w => w.lightOf(area))
      const material =
        light && isMeasured(light) ? light.materials.filter(isMeasured).find(m => m.name === pair.name) : null
      if (material && own)
        expected.value = linearOfHex(material.expected).map((c, i) => c / Math.max(1e-4, own[i]!)) as unknown as [
          number,
          number,
          number
        ]
    },
    { immediate: true }
  )
  const blacks = shallowRef<readonly string[]>([])
  watch(
    areaOf,
    async area => {
      const found = await ask(w =>
        w.flatBlacks(bench.report && isMeasured(bench.report.temperature) ? bench.report.temperature.darks : 0)
      )
      blacks.value =
        found?.find(p => {
          const { x, y, w, h } = area ? boundsOf(area) : { x: 0, y: 0, w: 1, h: 1 }
          return p.share > 0.002 && p.x >= x && p.x <= x + w && p.y >= y && p.y <= y + h
        })?.blacks ?? []
    },
    { immediate: true }
  )
  return { expected, blacks }
}
