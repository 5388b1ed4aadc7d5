<script setup lang="ts">
import { GREYS } from '~/theme/greys'
import type { CustomSeriesRenderItem } from 'echarts'
import VChart from 'vue-echarts'
import { fitToGamut } from '~~/core/colour/gamut'
import { anchorAt } from '~~/core/wheel/wheel'
import { hexOfLinear } from '~~/core/colour/srgb'
import { schemeNamed, type SectorScheme } from '~~/core/wheel/schemes'
import type { Family } from '~~/core/measure/report'
import type { WheelName } from '~~/core/wheel/steps'
import { CHART_INK, CHART_QUIET, CHART_UPDATE, useDrawnChart } from '~/composables/chart'

/**
 * The wheel with yellow at the top: the picture's coloured weight as a ring of bars in their own
 * hues, the twelve steps around it, the scheme's sectors laid over.
 */
const emit = defineEmits<{ turn: [rotationDeg: number] }>()
const props = defineProps<{
  hues: number[]
  wheel: WheelName
  scheme: SectorScheme | null
  rotation: number
  families: readonly Family[]
}>()

const STEP = 5
const weights = computed(() =>
  Array.from({ length: 360 / STEP }, (_, i) => {
    let sum = 0
    for (let d = 0; d < STEP; d++) sum += props.hues[(i * STEP + d - 2 + 360) % 360] ?? 0
    return sum
  })
)
const hueColour = (position: number): string => hexOfLinear(fitToGamut(anchorAt(props.wheel, position)))

/** Everything is drawn by angle about the middle; 0° is up, clockwise. */
const render: CustomSeriesRenderItem = (_params, api) => {
  const w = api.getWidth(),
    h = api.getHeight()
  const cx = w / 2,
    cy = h / 2,
    R = Math.min(w, h) / 2 - 4
  const rad = (deg: number): number => ((deg - 90) * Math.PI) / 180
  const arc = (from: number, to: number, r0: number, r: number, style: object) => ({
    type: 'sector' as const,
    shape: { cx, cy, r0, r, startAngle: rad(from), endAngle: rad(to) },
    style,
    silent: true
  })
  const inner = R * 0.3,
    outer = R * 0.86
  const tallest = Math.max(1e-6, ...weights.value)
  const sectors = props.scheme ? schemeNamed(props.scheme).sectors : []
  return {
    type: 'group',
    children: [
      ...sectors.map(s =>
        arc(props.rotation + s.centre - s.half, props.rotation + s.centre + s.half, inner * 0.4, outer + 3, {
          fill: GREYS.l40,
          stroke: CHART_INK,
          lineWidth: 1
        })
      ),
      ...Array.from({ length: 12 }, (_, i) => arc(i * 30 - 14, i * 30 + 14, R * 0.91, R, { fill: hueColour(i * 30) })),
      arc(0, 359.99, inner - 1, inner, { fill: CHART_QUIET }),
      // Each family as an arc about its place, as long as its share of the coloured weight.
      ...props.families
        .filter(f => f.weight >= 0.01)
        .map(f =>
          arc(f.position - 90 * f.weight, f.position + 90 * f.weight, inner * 0.72, inner * 0.94, {
            fill: hueColour(f.position),
            stroke: GREYS.l20,
            lineWidth: 0.5
          })
        ),
      ...weights.value.flatMap((v, i) =>
        v < 0.0005
          ? []
          : [
              arc(
                i * STEP - STEP / 2,
                i * STEP + STEP / 2,
                inner,
                inner + (outer - inner) * Math.max(0.03, Math.sqrt(v / tallest)),
                { fill: hueColour(i * STEP), stroke: GREYS.l20, lineWidth: 0.5 }
              )
            ]
      )
    ]
  }
}
const option = useDrawnChart(() => [{ render, items: [weights.value.length + props.rotation + props.families.length] }])

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
  cursor: grab;
  touch-action: none;
}
.wheel {
  height: 210px;
  width: 100%;
}
</style>
