<script setup lang="ts">
/** One line across a wall, left of it one thing and right of it another. Dragged, or moved by arrows. */
const props = defineProps<{
  /** Of the wall, pixels. */ width: number
  before: string
  after: string
  label: string
}>()
/** Where it stands, as a share of the wall's width. */
const at = defineModel<number>({ required: true })
const STEP = 0.02
const held = (v: number): number => Math.min(0.98, Math.max(0.02, v))

const dragging = ref(false)
function drag(event: PointerEvent) {
  if (!dragging.value) return
  const box = (event.currentTarget as HTMLElement).parentElement!.getBoundingClientRect()
  at.value = held((event.clientX - box.left) / box.width)
}
function take(event: PointerEvent) {
  dragging.value = true
  ;(event.currentTarget as HTMLElement).setPointerCapture(event.pointerId)
}
</script>

<template>
  <div
    class="line"
    role="slider"
    tabindex="0"
    :aria-label="label"
    aria-valuemin="0"
    aria-valuemax="100"
    :aria-valuenow="Math.round(100 * at)"
    :style="{ left: `${at * props.width}px` }"
    @pointerdown="take"
    @pointermove="drag"
    @pointerup="dragging = false"
    @pointercancel="dragging = false"
    @keydown.left.stop.prevent="at = held(at - STEP)"
    @keydown.right.stop.prevent="at = held(at + STEP)"
  >
    <span class="side before">{{ before }}</span><span class="side after">{{ after }}</span>
  </div>
</template>

<style scoped>
.line {
  position: absolute;
  top: 84px;
  bottom: 0;
  width: 15px;
  margin-left: -7px;
  cursor: ew-resize;
  touch-action: none;
  z-index: 1;
}
.line::before {
  content: '';
  position: absolute;
  left: 6px;
  top: 0;
  bottom: 0;
  width: 3px;
  background: var(--l5);
  border: solid var(--l96);
  border-width: 0 1px;
}
.side {
  position: absolute;
  bottom: 40px;
  font-size: 12px;
  background: var(--l5);
  color: var(--l96);
  padding: 1px 6px;
  white-space: nowrap;
  pointer-events: none;
}
.before {
  right: 12px;
}
.after {
  left: 12px;
}
</style>
