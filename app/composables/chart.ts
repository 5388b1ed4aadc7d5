/** One ECharts theme: grey axes, direct labels, no legend. Only what is drawn is registered. */
import { use } from 'echarts/core'
import { BarChart, CustomChart } from 'echarts/charts'
import { AriaComponent, GridComponent, PolarComponent } from 'echarts/components'
import { CanvasRenderer } from 'echarts/renderers'

use([BarChart, CustomChart, PolarComponent, GridComponent, AriaComponent, CanvasRenderer])

export const CHART_INK = '#e5e5e5'
export const CHART_QUIET = '#919191'
export const CHART_FONT = 'Instrument Sans Variable'
