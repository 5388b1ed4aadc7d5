<script setup lang="ts">
import { fitAmounts, type Amounts } from '~~/core/exercise/plan/plan'

/** Leader, assistant and accent as one bar, its two seams dragged, or moved by the arrow keys. */
const props = defineProps<{ colours: readonly string[] }>()
const amounts = defineModel<Amounts>({ required: true })
const NAMES = ['leader', 'assistant', 'accent'] as const
const percent = (share: number): number => Math.round(100 * share)
/** Where each seam stands, 0–1. */
const seams = computed(() => [amounts.value[0], amounts.value[0] + amounts.value[1]] as const)
const bar = ref<HTMLElement>()

/** The other seam stays where it is, as far as order allows. */
function moveTo(seam: number, at: number) {
  const [leader, , accent] = amounts.value
  amounts.value = seam === 0 ? fitAmounts(at, accent) : fitAmounts(leader, 1 - at)
}
function take(event: PointerEvent) {
  ;(event.currentTarget as HTMLElement).setPointerCapture(event.pointerId)
}
function drag(event: PointerEvent, seam: number) {
  if (!(event.currentTarget as HTMLElement).hasPointerCapture(event.pointerId)) return
  const { left, width } = bar.value!.getBoundingClientRect()
  moveTo(seam, (event.clientX - left) / width)
}
const STEPS: Readonly<Record<string, number>> = { ArrowLeft: -0.01, ArrowDown: -0.01, ArrowRight: 0.01, ArrowUp: 0.01 }
function nudge(event: KeyboardEvent, seam: number) {
  const step = STEPS[event.key]
  if (!step) return
  event.preventDefault()
  moveTo(seam, seams.value[seam]! + step * (event.shiftKey ? 5 : 1))
}
/** A seam is told by the share it sets: the leader's, or the accent's. */
const told = computed(() => [percent(amounts.value[0]), percent(amounts.value[2])])
</script>

<template>
  <div class="amounts-bar">
    <div ref="bar" class="bar">
      <span
        v-for="(name, i) in NAMES"
        :key="name"
        :style="{ width: `${100 * amounts[i]!}%`, background: props.colours[i] }"
      />
      <button
        v-for="(at, i) in seams"
        :key="i"
        type="button"
        role="slider"
        class="seam"
        :style="{ left: `${100 * at}%` }"
        :aria-label="i === 0 ? 'Leader' : 'Accent'"
        aria-valuemin="5"
        aria-valuemax="90"
        :aria-valuenow="told[i]"
        :aria-valuetext="`${told[i]} %`"
        @pointerdown="take"
        @pointermove="drag($event, i)"
        @keydown="nudge($event, i)"
      />
    </div>
    <p class="said">
      <span v-for="(name, i) in NAMES" :key="name">{{ name }} {{ percent(amounts[i]!) }} %</span>
    </p>
  </div>
</template>

<style scoped>
.bar {
  position: relative;
  display: flex;
  height: 44px;
}
.seam {
  position: absolute;
  top: -5px;
  bottom: -5px;
  width: 28px;
  margin-left: -14px;
  cursor: ew-resize;
  touch-action: none;
}
.seam::after {
  content: '';
  position: absolute;
  inset: 0 11px;
  background: var(--l15);
  border: 2px solid var(--l96);
}
.said {
  display: flex;
  gap: 6px 22px;
  flex-wrap: wrap;
  padding-top: 8px;
}
</style>
