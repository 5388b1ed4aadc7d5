<script setup lang="ts">
import type { MassMap } from '~~/core/masses/masses'

/**
 * Three big shapes drawn on a ground, each with a value: a line closes by itself; by keys a cross is moved, space sets
 * a corner, Enter closes, as on the bench.
 */
const map = defineModel<MassMap | null>({ required: true })
const SIZE = { width: 480, height: 320 } as const,
  MOST = 3
type Point = { x: number; y: number }
const shapes = ref<readonly (readonly Point[])[]>([]),
  drawing = ref<readonly Point[]>([]),
  values = ref([72, 48, 22, 88])
const canvas = ref<SVGSVGElement>()
const at = (event: PointerEvent): Point => {
  const { left, top, width, height } = canvas.value!.getBoundingClientRect()
  return { x: (SIZE.width * (event.clientX - left)) / width, y: (SIZE.height * (event.clientY - top)) / height }
}
function start(event: PointerEvent) {
  if (shapes.value.length >= MOST) return
  canvas.value!.setPointerCapture(event.pointerId)
  drawing.value = [at(event)]
}
function go(event: PointerEvent) {
  if (drawing.value.length) drawing.value = [...drawing.value, at(event)]
}
/** Less than this is a slip of the hand. */
const LEAST = 8
function end() {
  if (drawing.value.length >= LEAST) shapes.value = [...shapes.value, drawing.value]
  drawing.value = []
}
const cross = ref<Point | null>(null)
const STEP = 8
const CORNERS = 3
function key(event: KeyboardEvent) {
  const move = arrowOf(event.key),
    at = cross.value ?? { x: SIZE.width / 2, y: SIZE.height / 2 }
  if (move)
    cross.value = {
      x: Math.min(SIZE.width, Math.max(0, at.x + STEP * move[0])),
      y: Math.min(SIZE.height, Math.max(0, at.y + STEP * move[1]))
    }
  else if (event.key === ' ' && shapes.value.length < MOST) drawing.value = [...drawing.value, (cross.value = at)]
  else if (event.key === 'Enter' && drawing.value.length >= CORNERS) {
    shapes.value = [...shapes.value, drawing.value]
    drawing.value = []
  } else if (event.key === 'Escape') drawing.value = []
  else return
  event.preventDefault()
}
const points = (shape: readonly Point[]): string => shape.map(p => `${p.x},${p.y}`).join(' ')
/** The ground is the last of the values. */
const grey = (i: number): string => greyOfValue(values.value[i]!)
watch(
  [shapes, values],
  () => {
    if (!shapes.value.length) return (map.value = null)
    const context = new OffscreenCanvas(SIZE.width, SIZE.height).getContext('2d', { willReadFrequently: true })!
    // Without soft edges: each pixel is in one of them.
    const labels = new Uint8Array(SIZE.width * SIZE.height)
    shapes.value.forEach((shape, i) => {
      context.clearRect(0, 0, SIZE.width, SIZE.height)
      const path = new Path2D(`M${points(shape)}Z`)
      context.fill(path)
      const { data } = context.getImageData(0, 0, SIZE.width, SIZE.height)
      for (let p = 0; p < labels.length; p++) if (data[4 * p + 3]! > 127) labels[p] = i + 1
    })
    const ids = [MOST, ...shapes.value.map((_, i) => i)]
    map.value = {
      ...SIZE,
      labels,
      masses: ids.map((of, label) => {
        const value = values.value[of]!,
          Y = luminanceOfValue(value)
        return { value, share: labels.filter(l => l === label).length / labels.length, light: [Y, Y, Y] }
      })
    }
  },
  { deep: true }
)
const set = (i: number, value: number) => (values.value = values.value.map((v, k) => (k === i ? value : v)))
</script>

<template>
  <div class="trace">
    <svg
      ref="canvas"
      :viewBox="`0 0 ${SIZE.width} ${SIZE.height}`"
      tabindex="0"
      role="application"
      aria-label="Three shapes: arrow keys move, space sets a corner, Enter closes"
      :style="{ background: grey(MOST) }"
      @pointerdown="start"
      @pointermove="go"
      @pointerup="end"
      @pointercancel="drawing = []"
      @keydown="key"
      @blur="cross = null"
    >
      <polygon v-for="(shape, i) in shapes" :key="i" :points="points(shape)" :fill="grey(i)" />
      <polyline :points="points(drawing)" fill="none" stroke="#000" stroke-width="2" />
      <path v-if="cross" :d="`M${cross.x - 7} ${cross.y}h14m-7 -7v14`" stroke="#fff" stroke-width="4" />
      <path v-if="cross" :d="`M${cross.x - 7} ${cross.y}h14m-7 -7v14`" stroke="#000" stroke-width="1.5" />
    </svg>
    <div class="values">
      <p class="words">
        {{ shapes.length ? '' : 'Draw a big shape, and another, and a third.' }}
      </p>
      <label v-for="i in [MOST, ...shapes.keys()]" :key="i">
        {{ i === MOST ? 'the ground' : `shape ${i + 1}` }}: value {{ values[i] }}
        <SlideBar
          :model-value="values[i]!"
          :low="8"
          :high="94"
          :step="1"
          :label="`Value of shape ${i + 1}`"
          @update:model-value="v => set(i, v)"
        />
      </label>
      <p v-if="shapes.length">
        <button class="word-link" @click="shapes = shapes.slice(0, -1)">take the last away</button>
      </p>
    </div>
  </div>
</template>

<style scoped>
.trace {
  display: grid;
  grid-template-columns: minmax(0, 480px) 220px;
  gap: 24px;
}
svg {
  width: 100%;
  touch-action: none;
  cursor: crosshair;
}
.values,
label {
  display: grid;
  gap: 6px;
  align-content: start;
}
label > input {
  accent-color: var(--l30);
}
@media (max-width: 640px) {
  .trace {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
