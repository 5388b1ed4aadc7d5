/**
 * A chart set up one step a frame, its axes first, then one more series: set up whole it holds the page for longer than
 * a hand notices. One chart after another, since two that are drawn in the same frame do the same.
 */
import type { EChartsOption, SeriesOption } from 'echarts'

const nextFrame = (): Promise<void> => new Promise(resolve => requestAnimationFrame(() => setTimeout(resolve)))
let turn: Promise<void> = Promise.resolve()

/**
 * @param base the chart without its series.
 * @returns null until this chart's turn comes; the chart is to be mounted then, since an empty one is drawn too.
 */
export function useStagedChart(
  base: () => EChartsOption,
  series: () => readonly SeriesOption[]
): Readonly<Ref<EChartsOption | null>> {
  const all = computed(series)
  /** -1 until its turn. */
  const shown = ref(-1)
  /** All of them is the same however many more may come: a chart that stands whole is not drawn once more. */
  const count = computed(() => Math.min(shown.value, all.value.length))
  let gone = false
  async function unfold(): Promise<void> {
    while (!gone && shown.value < all.value.length) {
      await nextFrame()
      shown.value++
    }
    // What is added later comes at once.
    shown.value = Infinity
    await nextFrame()
  }
  onMounted(() => {
    turn = turn.then(unfold)
  })
  onBeforeUnmount(() => {
    gone = true
  })
  return computed(() => {
    if (count.value < 0) return null
    // By its id one that stands is known again.
    const standing = all.value.slice(0, count.value).map((s, i) => ({ ...s, id: `${s.type}-${i}` }))
    return { ...base(), series: standing }
  })
}
