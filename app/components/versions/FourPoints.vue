<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import type { Point } from '~~/core/numeric/homography'
import { hang, PLAIN_VIEW } from '~/wall/frame'

/**
 * Where the old version lies on the new one, as four points that are dragged, or moved by arrow keys; the outline
 * between them moves all four.
 */
const corners = defineModel<readonly Point[]>({ required: true })
const laid = useLaid()
const element = ref<HTMLElement>(),
  canvas = ref<HTMLCanvasElement>()
const { width, height } = useElementSize(element)
const size = computed(() => laid.newSize.value ?? { width: 1, height: 1 })
/** What was cropped lies beyond the picture: there is room around it. */
const MARGIN = 70
const frame = computed(() =>
  hang(
    {
      x: MARGIN,
      y: MARGIN,
      width: Math.max(1, width.value - 2 * MARGIN),
      height: Math.max(1, height.value - 2 * MARGIN)
    },
    size.value,
    PLAIN_VIEW
  )
)
watch(
  [laid.newSize, canvas],
  async ([, to]) => {
    const bitmap = to && laid.newSize.value && (await laid.unlaid())
    if (!bitmap || !to) return
    to.width = bitmap.width
    to.height = bitmap.height
    to.getContext('2d')!.drawImage(bitmap, 0, 0)
    bitmap.close()
  },
  { immediate: true }
)
const NAMES = ['top left', 'top right', 'bottom right', 'bottom left'] as const
const places = computed(() => corners.value.map(({ x, y }) => frame.value.toWall(x, y)))
const outline = computed(() => places.value.map(p => p.join(',')).join(' '))

const LEAST = -0.95,
  MOST = 1.95
const held = (v: number): number => Math.min(MOST, Math.max(LEAST, v))
/** Which is under the hand; 4 is all of them. */
const under = ref<number | null>(null)
let last: Point | null = null
const placeOf = (event: PointerEvent): Point => {
  const box = element.value!.getBoundingClientRect()
  return frame.value.toPicture(event.clientX - box.left, event.clientY - box.top)
}
function take(event: PointerEvent, which: number) {
  under.value = which
  last = placeOf(event)
  element.value!.setPointerCapture(event.pointerId)
}
function shift(which: number, by: Point) {
  corners.value = corners.value.map((c, i) =>
    which === 4 || i === which ? { x: held(c.x + by.x), y: held(c.y + by.y) } : c
  )
}
function move(event: PointerEvent) {
  if (under.value === null || !last) return
  const now = placeOf(event)
  shift(under.value, { x: now.x - last.x, y: now.y - last.y })
  last = now
}
const STEPS: Readonly<Record<string, Point>> = {
  ArrowLeft: { x: -1, y: 0 },
  ArrowRight: { x: 1, y: 0 },
  ArrowUp: { x: 0, y: -1 },
  ArrowDown: { x: 0, y: 1 }
}
function nudge(event: KeyboardEvent, which: number) {
  const step = STEPS[event.key],
    by = event.shiftKey ? 0.01 : 0.001
  if (!step) return
  event.preventDefault()
  shift(which, { x: by * step.x, y: by * step.y })
}
</script>

<template>
  <div ref="element" class="sheet" @pointermove="move" @pointerup="under = null" @pointercancel="under = null">
    <canvas
      ref="canvas"
      class="picture"
      role="img"
      aria-label="the new version"
      :style="{ width: `${size.width}px`, height: `${size.height}px`, transform: frame.transform }"
    />
    <svg :width="width" :height="height" aria-hidden="true">
      <polygon :points="outline" class="dark" />
      <polygon :points="outline" class="light" @pointerdown="take($event, 4)" />
    </svg>
    <button
      v-for="(place, i) in places"
      :key="i"
      class="corner"
      :style="{ left: `${place[0]}px`, top: `${place[1]}px` }"
      :aria-label="`The older version’s corner at the ${NAMES[i]}`"
      @pointerdown.stop.prevent="take($event, i)"
      @keydown="nudge($event, i)"
    />
  </div>
</template>

<style scoped>
.sheet {
  position: relative;
  overflow: hidden;
  background: var(--wall);
  touch-action: none;
  min-height: 0;
}
.picture {
  position: absolute;
  left: 0;
  top: 0;
  transform-origin: 0 0;
  max-width: none;
}
svg {
  position: absolute;
  inset: 0;
  pointer-events: none;
}
polygon {
  fill: none;
}
.dark {
  stroke: var(--l5);
  stroke-width: 4;
}
.light {
  stroke: var(--l96);
  stroke-width: 1.5;
  fill: transparent;
  pointer-events: all;
  cursor: move;
}
.corner {
  position: absolute;
  width: 26px;
  height: 26px;
  margin: -13px;
  padding: 0;
  border: 2px solid var(--l5);
  outline: 2px solid var(--l96);
  background: none;
  cursor: grab;
  touch-action: none;
}
</style>
