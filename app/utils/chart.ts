/**
 * One ECharts theme: greys, direct labels, no legend, nothing that moves by itself. Only the kinds that are drawn are
 * registered.
 */
import { BarChart, LineChart, PieChart, ScatterChart } from 'echarts/charts'
import { GridComponent, MarkAreaComponent, PolarComponent, TooltipComponent } from 'echarts/components'
import { use } from 'echarts/core'
import { CanvasRenderer } from 'echarts/renderers'
import { GREYS } from '~/theme/greys'

use([
  BarChart,
  LineChart,
  PieChart,
  ScatterChart,
  GridComponent,
  MarkAreaComponent,
  PolarComponent,
  TooltipComponent,
  CanvasRenderer
])

export const CHART_INK = GREYS.l91
const CHART_QUIET = GREYS.l60
/** Drawn anew each time, at the next frame. */
export const CHART_UPDATE = { notMerge: true, lazyUpdate: true }

const FONT = { fontFamily: 'Instrument Sans Variable', fontSize: 11 }
/** What every chart on the bench begins with. */
export const CHART_BASE = {
  animation: false,
  textStyle: FONT,
  tooltip: {
    confine: true,
    transitionDuration: 0,
    backgroundColor: GREYS.l15,
    borderColor: GREYS.l40,
    padding: [3, 8] as number[],
    extraCssText: 'box-shadow: none; border-radius: 2px',
    textStyle: { ...FONT, fontSize: 12, color: GREYS.l91 }
  }
}
/** An axis of the theme: a hairline, and words at its ends. */
export const chartAxis = (max: number, words: readonly [low: string, high: string]) => ({
  type: 'value' as const,
  min: 0,
  max,
  interval: max,
  axisLine: { show: true, lineStyle: { color: CHART_QUIET } },
  axisTick: { show: false },
  splitLine: { show: false },
  axisLabel: { ...FONT, color: CHART_QUIET, formatter: (at: number) => words[at > 0 ? 1 : 0] }
})
