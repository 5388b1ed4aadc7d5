/**
 * A chart's series, shown one more each frame: a chart set up whole holds the page for longer than a hand notices. One
 * chart after another, since two that begin together do the same.
 */
import type { EChartsOption, SeriesOption } from 'echarts'

const nextFrame = (): Promise<void> => new Promise(resolve => requestAnimationFrame(() => setTimeout(resolve)))
let turn: Promise<void> = Promise.resolve()

/** @param base the chart without its series. */
export function useStagedChart(
  base: () => EChartsOption,
  series: () => readonly SeriesOption[]
): Readonly<Ref<EChartsOption>> {
  const shown = ref(0)
  let gone = false
  async function unfold(): Promise<void> {
    while (!gone && shown.value < series().length) {
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
  return computed(() => ({ ...base(), series: series().slice(0, shown.value) }))
}
