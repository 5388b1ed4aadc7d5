<script setup lang="ts">
import type { WallFrame } from '~/wall/frame'

/**
 * One line across the wall: left of it the picture as it is, right of it what is looked at, lens, trial or reference.
 * Dragged, or moved by arrows.
 */
const props = defineProps<{ frame: WallFrame; width: number }>()
const sight = useSightStore(),
  wall = useWallStore()
const at = computed(() => wall.divider! * props.width)

const dragging = ref(false)
function drag(event: PointerEvent) {
  if (!dragging.value) return
  const box = (event.currentTarget as HTMLElement).parentElement!.getBoundingClientRect()
  wall.divide((event.clientX - box.left) / box.width)
}
function take(event: PointerEvent) {
  dragging.value = true
  ;(event.currentTarget as HTMLElement).setPointerCapture(event.pointerId)
}
</script>

<template>
  <div class="half" :style="{ clipPath: `inset(0 calc(100% - ${at}px) 0 0)` }">
    <WallPicture :frame="frame" which="own" plain />
  </div>
  <div
    class="line"
    role="slider"
    tabindex="0"
    aria-label="Line between before and after"
    aria-valuemin="0"
    aria-valuemax="100"
    :aria-valuenow="Math.round(100 * wall.divider!)"
    :style="{ left: `${at}px` }"
    @pointerdown="take"
    @pointermove="drag"
    @pointerup="dragging = false"
    @pointercancel="dragging = false"
    @keydown.left.stop.prevent="wall.divide(wall.divider! - 0.02)"
    @keydown.right.stop.prevent="wall.divide(wall.divider! + 0.02)"
  >
    <span class="side before">as it is</span
    ><span class="side after">{{
      sight.trials.length ? 'as it could be' : wall.reference === 'under' ? 'the reference' : 'through the lens'
    }}</span>
  </div>
</template>

<style scoped>
.half {
  position: absolute;
  inset: 0;
  pointer-events: none;
}
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
