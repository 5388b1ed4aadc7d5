<script setup lang="ts">
import { useBenchPicture } from '~/composables/usePicture'
import { isMeasured } from '~~/core/measure/report'
import type { ProbeReading } from '~/workers/protocol'

/** The value rule: a ramp from 0 to 100, the picture's histogram on it, its range bracketed, and the probe's tick. */
const props = defineProps<{ probe: ProbeReading | null }>()
const bench = useBenchStore()
const { ask, ready } = useBenchPicture()

const bins = ref<number[]>([])
watch(
  ready,
  async now => {
    if (now) bins.value = (await ask(w => w.histogram())) ?? []
  },
  { immediate: true }
)

const shownBins = computed(() => (bench.unseen ? [] : bins.value))
const tallest = computed(() => Math.max(1, ...bins.value))
// A square root keeps small lights and darks in sight beside a large ground.
const bars = computed(() =>
  shownBins.value.map((n, i) => ({
    x: (i * 100) / 64,
    h: n > 0 ? Math.max(1.5, 34 * Math.sqrt(n / tallest.value)) : 0,
    fill: greyOfValue(((i + 0.5) * 100) / 64)
  }))
)
const value = computed(() =>
  !bench.unseen && bench.report && isMeasured(bench.report.value) ? bench.report.value : null
)
const steps = Array.from({ length: 50 }, (_, i) => ({ x: i * 2, fill: greyOfValue(i * 2 + 1) }))
const said = computed(() => {
  const p = props.probe
  if (!p) return ''
  const t = p.relativeTemperature,
    than = t !== null && t > 0 ? 'warmer than' : 'cooler than',
    relative = t === null ? '' : ` · ${Math.abs(t) < 3 ? 'as warm as' : than} what is around`
  const colour = p.step ? `${p.step} ${p.kind}` : 'neutral'
  return `value ${p.value} · ${colour} · temperature ${Math.round(p.temperature)}${relative}`
})
</script>

<template>
  <div class="rule">
    <svg
      viewBox="0 0 100 50"
      preserveAspectRatio="none"
      role="img"
      :aria-label="value ? `values from ${value.darkest} to ${value.lightest}` : 'value rule'"
    >
      <rect v-for="s in steps" :key="s.x" :x="s.x" y="37" width="2.05" height="10" :fill="s.fill" />
      <rect
        v-for="(b, i) in bars"
        :key="i"
        :x="b.x"
        :y="36 - b.h"
        width="1.5"
        :height="b.h"
        :fill="b.fill"
        stroke="var(--l60)"
        stroke-width=".6"
        vector-effect="non-scaling-stroke"
      />
      <path
        v-if="value"
        :d="`M${value.darkest} 4 V48.5 H${value.lightest} V4`"
        fill="none"
        stroke="var(--l96)"
        stroke-width="1.4"
        vector-effect="non-scaling-stroke"
      />
      <path
        v-if="probe"
        :d="`M${probe.value} 1 V49`"
        stroke="var(--l100)"
        stroke-width="2.5"
        vector-effect="non-scaling-stroke"
      />
    </svg>
    <div class="said">
      <span data-test="probe">{{ said || 'Point at the picture to read a colour.' }}</span>
      <span v-if="value"
        >{{ Math.round(value.darkest) }} to {{ Math.round(value.lightest) }}: range {{ Math.round(value.range) }}</span
      >
    </div>
  </div>
</template>

<style scoped>
.rule {
  background: var(--panel-deep);
  padding: 6px 16px 5px;
  color: var(--panel-ink);
}
svg {
  width: 100%;
  height: 52px;
  display: block;
}
.said {
  display: flex;
  justify-content: space-between;
  gap: 16px;
  font-size: 13px;
  height: 20px;
  white-space: nowrap;
  overflow: hidden;
}
</style>
