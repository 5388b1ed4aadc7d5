/** One ECharts theme: grey axes, direct labels, no legend. Only what is drawn is registered. */
import { use } from 'echarts/core'
import { CustomChart } from 'echarts/charts'
import { CanvasRenderer } from 'echarts/renderers'

use([CustomChart, CanvasRenderer])

export const CHART_INK = '#e5e5e5'
export const CHART_QUIET = '#919191'
