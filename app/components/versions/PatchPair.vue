<script setup lang="ts">
import { boundsOf, type Area } from '~~/core/picture/area'
import type { Side } from '~/workers/versions-protocol'

/** The same place in both versions, side by side; without a place, both as a whole. */
const props = defineProps<{ area: Area | null; label: string }>()
const laid = useLaid()
const SIDE = 44,
  /** A place is shown with a little of what is around it. */
  AROUND = 1.5,
  LEAST = 0.08
const canvases: Partial<Record<Side, HTMLCanvasElement | null>> = {}

/** In pixels of the pictures: a square about the place, or the largest in the middle. */
function cut(width: number, height: number) {
  const { x, y, w, h } = props.area ? boundsOf(props.area) : { x: 0, y: 0, w: 1, h: 1 },
    short = Math.min(width, height)
  const side = Math.min(short, Math.max(LEAST * short, AROUND * Math.max(w * width, h * height))),
    held = (at: number, most: number) => Math.min(most - side, Math.max(0, at - side / 2))
  return { x: held((x + w / 2) * width, width), y: held((y + h / 2) * height, height), side }
}
watch(
  [laid.plain, () => props.area],
  async ([both]) => {
    if (!both) return
    await nextTick()
    for (const side of ['old', 'new'] as const) {
      const context = canvases[side]?.getContext('2d'),
        { x, y, side: edge } = cut(both[side].width, both[side].height)
      context?.clearRect(0, 0, 2 * SIDE, 2 * SIDE)
      context?.drawImage(both[side], x, y, edge, edge, 0, 0, 2 * SIDE, 2 * SIDE)
    }
  },
  { immediate: true }
)
</script>

<template>
  <div class="pair" role="img" :aria-label="label">
    <canvas
      v-for="side in ['old', 'new'] as const"
      :key="side"
      :ref="el => (canvases[side] = el as HTMLCanvasElement | null)"
      :width="2 * SIDE"
      :height="2 * SIDE"
    />
  </div>
</template>

<style scoped>
.pair {
  display: flex;
  gap: 8px;
}
canvas {
  width: 44px;
  height: 44px;
  display: block;
}
</style>
