<script setup lang="ts">
import type { CustomSeriesRenderItem } from 'echarts'
import VChart from 'vue-echarts'
import { CHART_QUIET } from '~/composables/chart'
import { useAsked } from '~/composables/usePicture'

/** Value against saturation: each dot is a place of the picture in its own colour. A cloud in one spot is a picture in one tone. */
const points = useAsked(() => w => w.scatter())
/** Chroma that the right edge stands for: beyond it lie only a few pigments. */
const MOST = 0.26

const render: CustomSeriesRenderItem = (_params, api) => {
  const w = api.getWidth() - 30, h = api.getHeight() - 18
  const text = (words: string, x: number, y: number, align: 'left' | 'right') => ({ type: 'text' as const, style: { text: words, x, y, fill: CHART_QUIET, font: '11px "Instrument Sans Variable"', align }, silent: true })
  return {
    type: 'group',
    children: [
      { type: 'polyline', shape: { points: [[24, 8], [24, h], [24 + w, h]] }, style: { stroke: CHART_QUIET, lineWidth: 1, fill: 'none' }, silent: true },
      ...(points.value ?? []).map(p => ({ type: 'circle' as const, shape: { cx: 24 + (w * Math.min(MOST, p.chroma)) / MOST, cy: h - ((h - 8) * p.value) / 100, r: 2.2 }, style: { fill: p.hex, stroke: '#303030', lineWidth: 0.4 }, silent: true })),
      text('100', 0, 2, 'left'), text('0', 8, h - 10, 'left'), text('grey', 24, h + 4, 'left'), text('strong', 24 + w, h + 4, 'right')
    ]
  }
}
const option = computed(() => ({ animation: false, series: [{ type: 'custom', coordinateSystem: 'none', renderItem: render, data: [points.value?.length ?? 0], silent: true }] }))
</script>

<template>
  <div v-if="points" class="scatter">
    <h3>Value against strength of colour</h3>
    <VChart :option="option" :update-options="{ notMerge: true }" autoresize class="chart" role="img" aria-label="value against strength of colour" />
  </div>
</template>

<style scoped>
.scatter { padding: 8px 0; }
h3 { font-family: var(--sans); font-size: 13px; font-weight: 600; margin-bottom: 4px; }
.chart { height: 150px; width: 100%; }
</style>
