<script setup lang="ts">
import type { EChartsOption } from 'echarts'
import VChart from 'vue-echarts'
import { GREYS } from '~/theme/greys'
import { CHART_BASE, CHART_UPDATE, chartGrid } from '~/utils/chart'
import { figureWords } from '~~/core/compare/words'
import { TREND_FROM } from '~~/core/progress/trend'
import type { ReadingLine } from '~~/core/progress/lines'
import { lineWords } from '~~/core/progress/words'
import type { TermPiece } from '~~/shared/pieces/progress'

/** One reading over the term: a dot a piece, its standard as a band; joined from three pieces on. */
const props = defineProps<{ line: ReadingLine; pieces: readonly TermPiece[] }>()
const titleOf = (id: number): string => {
  const piece = props.pieces.find(p => p.id === id)
  return piece ? (piece.version > 1 ? `${piece.title}, version ${piece.version}` : piece.title) : ''
}
/** Dots at either end are seen whole. */
const room = computed(() => 0.06 * (props.line.high - props.line.low || 1))
const base = (): EChartsOption => ({
  ...CHART_BASE,
  grid: chartGrid({ left: 4, right: 8, top: 6, bottom: 6 }),
  // In the order of handing in, and at even steps: days between two pieces say nothing.
  xAxis: { type: 'category', show: false, data: props.line.points.map(p => titleOf(p.piece)), boundaryGap: true },
  yAxis: { type: 'value', show: false, min: props.line.low - room.value, max: props.line.high + room.value }
})
const band = computed((): [{ yAxis: number }, { yAxis: number }] => {
  const { wants, standard, low, high } = props.line
  return wants === 'more'
    ? [{ yAxis: standard }, { yAxis: Math.max(standard, high) + room.value }]
    : [{ yAxis: Math.min(standard, low) - room.value }, { yAxis: standard }]
})
const option = useStagedChart(base, () => [
  {
    type: 'line',
    symbol: 'circle',
    symbolSize: 9,
    lineStyle: { width: props.line.points.length < TREND_FROM ? 0 : 1.5, color: GREYS.l40 },
    itemStyle: { color: GREYS.l15, borderColor: GREYS.l96, borderWidth: 1 },
    emphasis: { disabled: true },
    data: props.line.points.map(p => ({
      value: p.value,
      name: `${titleOf(p.piece)}: ${figureWords(props.line.unit, p.value)}`
    })),
    tooltip: { formatter: '{b}' },
    markArea: { silent: true, itemStyle: { color: GREYS.l80, opacity: 0.55 }, data: [band.value] }
  }
])
const said = computed(() => lineWords(props.line))
</script>

<template>
  <li class="over-time">
    <VChart
      v-if="option"
      :option="option"
      :update-options="CHART_UPDATE"
      autoresize
      class="chart"
      role="img"
      :aria-label="said"
    />
    <p class="words">{{ said }}</p>
  </li>
</template>

<style scoped>
.over-time {
  min-height: 138px;
}
.chart {
  height: 84px;
  width: 100%;
  border-bottom: 1px solid var(--line);
}
.words {
  font-size: 15px;
  line-height: 1.3;
  margin-top: 4px;
}
</style>
