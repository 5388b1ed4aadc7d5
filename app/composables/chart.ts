/** One ECharts theme: grey axes, direct labels, no legend. Only what is drawn is registered. */
import { GREYS } from '~/theme/greys'
import { use } from 'echarts/core'
import { CustomChart } from 'echarts/charts'
import { CanvasRenderer } from 'echarts/renderers'
import type { CustomSeriesRenderItem } from 'echarts'

use([CustomChart, CanvasRenderer])

export const CHART_INK = GREYS.l91
export const CHART_QUIET = GREYS.l60
/** Drawn anew each time, at the next frame. */
export const CHART_UPDATE = { notMerge: true, lazyUpdate: true }

/** What a chart draws: `render` is asked once for each of `items`, numbers that change with what is drawn. */
export interface ChartPart {
  readonly render: CustomSeriesRenderItem
  readonly items: readonly number[]
}

/** So many items are drawn in one frame; a chart of more of them is completed over the next frames. */
const A_FRAME = 80
/** One chart after another is set up and filled, each in tasks of its own: together they hold the page. */
let turn: Promise<unknown> = Promise.resolve()
const nextFrame = (): Promise<void> => new Promise(resolve => requestAnimationFrame(() => setTimeout(resolve)))

/** The option of a chart that is drawn by hand, part by part: empty when it is set up, filled a frame later. */
export function useDrawnChart(parts: () => readonly ChartPart[]) {
  const filled = ref(false)
  onMounted(() => {
    turn = turn
      .then(nextFrame)
      .then(() => {
        filled.value = true
      })
      .then(nextFrame)
  })
  return computed(() => ({
    animation: false,
    series: !filled.value
      ? []
      : parts().map(({ render, items }) => ({
          type: 'custom',
          coordinateSystem: 'none',
          renderItem: render,
          data: items,
          silent: true,
          progressive: A_FRAME,
          progressiveThreshold: A_FRAME
        }))
  }))
}
