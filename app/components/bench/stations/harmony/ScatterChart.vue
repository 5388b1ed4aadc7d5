<script setup lang="ts">
import { GREYS } from '~/theme/greys'
import type { CustomSeriesRenderItem, CustomSeriesRenderItemAPI } from 'echarts'
import VChart from 'vue-echarts'
import { CHART_QUIET, CHART_UPDATE, useDrawnChart } from '~/composables/chart'
import { useAsked } from '~/composables/usePicture'

/** Value against saturation: each dot is a place of the picture in its own colour. A cloud in one spot is a picture in one tone. */
const points = useAsked(() => w => w.scatter())
/** Chroma that the right edge stands for: beyond it lie only a few pigments. */
const MOST = 0.26

const placed = (api: CustomSeriesRenderItemAPI) => ({
  left: 24,
  top: 8,
  width: api.getWidth() - 54,
  bottom: api.getHeight() - 18
})
const axes: CustomSeriesRenderItem = (_params, api) => {
  const { left, top, width, bottom } = placed(api)
  const text = (words: string, x: number, y: number, align: 'left' | 'right') => ({
    type: 'text' as const,
    style: { text: words, x, y, fill: CHART_QUIET, font: '11px "Instrument Sans Variable"', align },
    silent: true
  })
  return {
    type: 'group',
    children: [
      {
        type: 'polyline',
        shape: {
          points: [
            [left, top],
            [left, bottom],
            [left + width, bottom]
          ]
        },
        style: { stroke: CHART_QUIET, lineWidth: 1, fill: 'none' },
        silent: true
      },
      text('100', 0, 2, 'left'),
      text('0', 8, bottom - 10, 'left'),
      text('grey', left, bottom + 4, 'left'),
      text('strong', left + width, bottom + 4, 'right')
    ]
  }
}
const dot: CustomSeriesRenderItem = ({ dataIndex }, api) => {
  const { left, top, width, bottom } = placed(api),
    p = points.value![dataIndex]!
  return {
    type: 'circle',
    shape: {
      cx: left + (width * Math.min(MOST, p.chroma)) / MOST,
      cy: bottom - ((bottom - top) * p.value) / 100,
      r: 2.2
    },
    style: { fill: p.hex, stroke: GREYS.l20, lineWidth: 0.4 },
    silent: true
  }
}
const option = useDrawnChart(() => [
  { render: axes, items: [0] },
  { render: dot, items: (points.value ?? []).map((_, i) => i) }
])
</script>

<template>
  <div v-if="points" class="scatter">
    <h3>Value against strength of colour</h3>
    <VChart
      :option="option"
      :update-options="CHART_UPDATE"
      autoresize
      class="chart"
      role="img"
      aria-label="value against strength of colour"
    />
  </div>
</template>

<style scoped>
.scatter {
  padding: 8px 0;
}
h3 {
  font-family: var(--sans);
  font-size: 13px;
  font-weight: 600;
  margin-bottom: 4px;
}
.chart {
  height: 150px;
  width: 100%;
}
</style>
