<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import type { Point } from '~~/core/numeric/homography'
import { hang, PLAIN_VIEW } from '~/wall/frame'

/**
 * Four corners on a picture: dragged, or moved by arrow keys; the outline between them moves all four. @property beyond
 * whether they may lie outside it.
 */
const props = defineProps<{
  /** Of the picture; null until it is there. */
  picture: { width: number; height: number } | null
  drawn: () => Promise<ImageBitmap | null>
  label: string
  /** What each is the corner of. */
  of: string
  beyond?: boolean
}>()
const corners = defineModel<readonly Point[]>({ required: true })
const element = ref<HTMLElement>(),
  canvas = ref<HTMLCanvasElement>()
const { width, height } = useElementSize(element)
const size = computed(() => props.picture ?? { width: 1, height: 1 })
/** What was cropped lies beyond the picture: there is room around it. */
const margin = props.beyond ? 70 : 16
const frame = computed(() =>
  hang(
    {
      x: margin,
      y: margin,
      width: Math.max(1, width.value - 2 * margin),
      height: Math.max(1, height.value - 2 * margin)
    },
    size.value,
    PLAIN_VIEW
  )
)
watch(
  [() => props.picture, canvas],
  async ([picture, to]) => {
    const bitmap = to && picture && (await props.drawn())
    if (!bitmap || !to) return
    paintOn(to, bitmap)
  },
  { immediate: true }
)
const NAMES = ['top left', 'top right', 'bottom right', 'bottom left'] as const
const places = computed(() => corners.value.map(({ x, y }) => frame.value.toWall(x, y)))
const outline = computed(() => places.value.map(p => p.join(',')).join(' '))

const [least, most] = props.beyond ? [-0.95, 1.95] : [0, 1]
const held = (v: number): number => Math.min(most, Math.max(least, v))
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
      :aria-label="label"
      :style="{ width: `${size.width}px`, height: `${size.height}px`, transform: frame.transform }"
    />
    <svg :width="width" :height="height" aria-hidden="true">
      <polygon :points="outline" class="dark" />
      <polygon :points="outline" class="light" @pointerdown="take($event, 4)" />
    </svg>
    <button
      v-for="(place, i) in places"
      :key="i"
      type="button"
      class="corner"
      :style="{ left: `${place[0]}px`, top: `${place[1]}px` }"
      :aria-label="`${of} corner at the ${NAMES[i]}`"
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
