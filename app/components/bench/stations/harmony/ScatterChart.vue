<script setup lang="ts">
import type { EChartsOption } from 'echarts'
import VChart from 'vue-echarts'
import { GREYS } from '~/theme/greys'
import { useAsked } from '~/composables/usePicture'
import { CHART_BASE, CHART_UPDATE, chartAxis, chartGrid } from '~/utils/chart'

/**
 * Value against saturation: each dot is a place of the picture in its own colour. A cloud in one spot is a picture in
 * one tone.
 */
const points = useAsked(() => w => w.scatter())
/** Chroma that the right edge stands for: beyond it lie only a few pigments. */
const MOST = 0.26
/** So many dots are drawn in one frame. */
const A_FRAME = 80

const base = (): EChartsOption => ({
  ...CHART_BASE,
  grid: chartGrid({ left: 34, right: 34, top: 10, bottom: 20 }),
  xAxis: chartAxis(MOST),
  yAxis: chartAxis(100)
})
const option = useStagedChart(base, () => [
  {
    type: 'scatter',
    progressive: A_FRAME,
    progressiveThreshold: A_FRAME,
    symbolSize: 4.4,
    emphasis: { disabled: true },
    data: (points.value ?? []).map(p => ({
      value: [Math.min(MOST, p.chroma), p.value],
      name: `value ${Math.round(p.value)}`,
      itemStyle: { color: p.hex, borderColor: GREYS.l20, borderWidth: 0.4 }
    })),
    tooltip: { formatter: '{b}' }
  }
])
</script>

<template>
  <div v-if="points" class="scatter">
    <h3>Value against strength of colour</h3>
    <div v-if="option" class="field" aria-hidden="true">
      <span class="most">100</span><span class="least">0</span><span class="grey">grey</span
      ><span class="strong">strong</span>
    </div>
    <VChart
      v-if="option"
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
/* Its room is kept while it waits for its turn. */
.scatter {
  min-height: 188px;
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
.field {
  position: relative;
  font-size: 11px;
  line-height: 12px;
  color: var(--panel-quiet);
}
.field span {
  position: absolute;
}
.most,
.least {
  width: 26px;
  text-align: right;
}
.most {
  top: 4px;
}
.least {
  top: 124px;
}
.grey,
.strong {
  top: 137px;
  width: 60px;
  text-align: center;
}
.grey {
  left: 4px;
}
.strong {
  right: 4px;
}
</style>
