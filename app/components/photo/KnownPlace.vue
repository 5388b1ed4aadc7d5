<script setup lang="ts">
import type { Point } from '~~/core/numeric/homography'
import type { Photographed } from '~/composables/usePhotographed'

/** A place of the photograph whose colour is known, pointed at; arrow keys and Enter do the same. */
const props = defineProps<{ photo: Photographed }>()
const emit = defineEmits<{ pick: [at: Point] }>()
const canvas = ref<HTMLCanvasElement>(),
  at = ref<Point>({ x: 0.5, y: 0.5 })
watch(
  [canvas, props.photo.size],
  async ([to]) => {
    const bitmap = to && (await props.photo.plain())
    if (!bitmap || !to) return
    paintOn(to, bitmap)
  },
  { immediate: true }
)
function point(event: MouseEvent) {
  const box = (event.currentTarget as HTMLElement).getBoundingClientRect()
  emit('pick', { x: (event.clientX - box.left) / box.width, y: (event.clientY - box.top) / box.height })
}
const STEPS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1]
}
const held = (v: number): number => Math.min(1, Math.max(0, v))
function key(event: KeyboardEvent) {
  const step = STEPS[event.key]
  if (event.key === 'Enter') emit('pick', at.value)
  if (!step && event.key !== 'Enter') return
  event.preventDefault()
  const by = event.shiftKey ? 0.05 : 0.01
  if (step) at.value = { x: held(at.value.x + by * step[0]), y: held(at.value.y + by * step[1]) }
}
</script>

<template>
  <div class="known">
    <button type="button" class="picture" aria-label="Point at what is white in truth" @click="point" @keydown="key">
      <canvas ref="canvas" />
      <span class="at" :style="{ left: `${100 * at.x}%`, top: `${100 * at.y}%` }" />
    </button>
  </div>
</template>

<style scoped>
.known {
  display: grid;
  place-content: center;
  background: var(--wall);
  min-height: 0;
}
.picture {
  position: relative;
  cursor: crosshair;
  line-height: 0;
}
canvas {
  max-width: 100%;
  max-height: 440px;
}
.at {
  position: absolute;
  width: 22px;
  height: 22px;
  margin: -11px;
  border: 2px solid var(--l5);
  outline: 2px solid var(--l96);
  visibility: hidden;
}
.picture:focus-visible .at {
  visibility: visible;
}
</style>
