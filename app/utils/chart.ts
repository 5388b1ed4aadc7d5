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
/**
 * Drawn at the next frame. What stands is kept and told what is new: a chart that comes a step at a time would be set
 * up whole at each. A series that is not named any more goes.
 */
export const CHART_UPDATE = { replaceMerge: 'series', lazyUpdate: true }

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
/** Where the axes lie: nothing of theirs is outside, and to look whether it is takes longer than to draw them. */
export const chartGrid = (margins: Readonly<Record<'left' | 'right' | 'top' | 'bottom', number>>) => ({
  ...margins,
  outerBoundsMode: 'none' as const
})
/** An axis of the theme: a hairline. The words at its ends are the page's, which is sooner done than by a chart. */
export const chartAxis = (max: number) => ({
  type: 'value' as const,
  min: 0,
  max,
  interval: max,
  axisLine: { show: true, lineStyle: { color: CHART_QUIET } },
  axisTick: { show: false },
  splitLine: { show: false },
  axisLabel: { show: false }
})
