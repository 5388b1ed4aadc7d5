<script setup lang="ts">
import type { EChartsOption } from 'echarts'
import VChart from 'vue-echarts'
import { fitToGamut } from '~~/core/colour/gamut'
import { hexOfLinear } from '~~/core/colour/srgb'
import { percent, stepWords } from '~~/core/critique/words'
import type { Family } from '~~/core/measure/report'
import { schemeNamed, type SectorScheme } from '~~/core/wheel/schemes'
import type { WheelName } from '~~/core/wheel/steps'
import { anchorAt, stepAt } from '~~/core/wheel/wheel'
import { GREYS } from '~/theme/greys'
import { CHART_BASE, CHART_INK, CHART_UPDATE } from '~/utils/chart'

/**
 * The wheel with yellow at the top: the picture's coloured weight as a ring of bars in their own hues, its families
 * within, the twelve steps around, the scheme's sectors beneath.
 */
const emit = defineEmits<{ turn: [rotationDeg: number] }>()
const props = defineProps<{
  hues: number[]
  wheel: WheelName
  scheme: SectorScheme | null
  rotation: number
  families: readonly Family[]
}>()

/** Degrees a bar stands for. */
const BAR = 5
/** Of the half height: where families lie, where bars begin and end, where the steps begin. */
const WITHIN = '25%',
  FROM = '31%',
  TO = '86%',
  STEPS = '91%'
const weights = computed(() =>
  Array.from({ length: 360 / BAR }, (_, i) => {
    let sum = 0
    for (let d = 0; d < BAR; d++) sum += props.hues[(i * BAR + d - 2 + 360) % 360] ?? 0
    return sum
  })
)
const hueColour = (position: number): string => hexOfLinear(fitToGamut(anchorAt(props.wheel, position)))
const weightWords = (position: number, weight: number): string =>
  `${stepWords(stepAt(props.wheel, position))}: ${percent(weight)} of what is coloured`
/** A ring has no zero of its own: 90° is up, and it goes as the clock does. */
const ring = { clockwise: true, label: { show: false }, emphasis: { disabled: true }, type: 'pie' as const }

const steps = () => ({
  ...ring,
  radius: [STEPS, '100%'],
  startAngle: 105,
  padAngle: 2,
  data: Array.from({ length: 12 }, (_, i) => ({
    value: 1,
    name: stepWords(stepAt(props.wheel, 30 * i)),
    itemStyle: { color: hueColour(30 * i) }
  })),
  tooltip: { formatter: '{b}' }
})
/** The sectors with what lies between them, around once. */
function sectors() {
  const list = [...schemeNamed(props.scheme!).sectors].sort((p, q) => p.centre - q.centre),
    first = list[0]!
  return {
    ...ring,
    silent: true,
    z: 0,
    radius: ['12%', '88%'],
    startAngle: 90 - props.rotation - first.centre + first.half,
    data: list.flatMap(({ centre, half }, i) => {
      const next = list[i + 1] ?? { centre: first.centre + 360, half: first.half }
      return [
        { value: 2 * half, itemStyle: { color: GREYS.l40, borderColor: CHART_INK, borderWidth: 1 } },
        { value: next.centre - next.half - centre - half, itemStyle: { color: 'transparent' } }
      ]
    })
  }
}
const bars = () => {
  const tallest = Math.max(1e-6, ...weights.value)
  return {
    type: 'bar' as const,
    coordinateSystem: 'polar' as const,
    polarIndex: 0,
    barCategoryGap: '0%',
    emphasis: { disabled: true },
    data: weights.value.map((weight, i) => ({
      // A square root keeps a small accent in sight beside a large ground.
      value: weight < 0.0005 ? 0 : Math.max(0.03, Math.sqrt(weight / tallest)),
      name: weightWords(BAR * i, weight),
      itemStyle: { color: hueColour(BAR * i), borderColor: GREYS.l20, borderWidth: 0.5 }
    })),
    tooltip: { formatter: '{b}' }
  }
}
/** Each family as a dot at its place, as large as its share of the coloured weight. */
const families = () => ({
  type: 'scatter' as const,
  coordinateSystem: 'polar' as const,
  polarIndex: 1,
  emphasis: { disabled: true },
  data: props.families
    .filter(f => f.weight >= 0.01)
    .map(f => ({
      value: [1, f.position],
      name: weightWords(f.position, f.weight),
      symbolSize: 4 + 16 * Math.sqrt(f.weight),
      itemStyle: { color: hueColour(f.position), borderColor: GREYS.l20, borderWidth: 1 }
    })),
  tooltip: { formatter: '{b}' }
})
const base = (): EChartsOption => ({
  ...CHART_BASE,
  polar: [{ radius: [FROM, TO] }, { radius: [0, WITHIN] }],
  angleAxis: [
    { polarIndex: 0, type: 'category', data: weights.value.map((_, i) => i), startAngle: 90 + BAR / 2, show: false },
    { polarIndex: 1, type: 'value', min: 0, max: 360, startAngle: 90, show: false }
  ],
  radiusAxis: [
    { polarIndex: 0, min: 0, max: 1, show: false },
    { polarIndex: 1, min: 0, max: 1, show: false }
  ]
})
const option = useStagedChart(base, () => [steps(), bars(), ...(props.scheme ? [sectors()] : []), families()])

/** The sectors follow the hand: turned by as much as the pointer turns about the middle. */
let held: { pointer: number; rotation: number } | null = null
const angleOf = (event: PointerEvent): number => {
  const box = (event.currentTarget as HTMLElement).getBoundingClientRect()
  return (
    (Math.atan2(event.clientY - box.top - box.height / 2, event.clientX - box.left - box.width / 2) * 180) / Math.PI
  )
}
function take(event: PointerEvent) {
  if (!props.scheme) return
  ;(event.currentTarget as HTMLElement).setPointerCapture(event.pointerId)
  held = { pointer: angleOf(event), rotation: props.rotation }
}
function turn(event: PointerEvent) {
  if (held) emit('turn', (((held.rotation + angleOf(event) - held.pointer) % 360) + 360) % 360)
}
</script>

<template>
  <div class="hold" @pointerdown="take" @pointermove="turn" @pointerup="held = null" @pointercancel="held = null">
    <VChart
      v-if="option"
      :option="option"
      :update-options="CHART_UPDATE"
      autoresize
      class="wheel"
      role="img"
      aria-label="the picture's colours on the wheel"
    />
  </div>
</template>

<style scoped>
.hold {
  min-height: 210px;
  cursor: grab;
  touch-action: none;
}
.wheel {
  height: 210px;
  width: 100%;
}
</style>
