<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import type Konva from 'konva'
import { useBenchPicture } from '~/composables/usePicture'
import { tagOf } from '~/stores/bench'
import { cornersOf, tagCornerOf, type Area } from '~~/core/picture/area'

/** The wall: the picture on mid grey, seen through the lens, with the areas and marks drawn over it. */
const emit = defineEmits<{ point: [at: { x: number, y: number } | null], open: [correction: number] }>()
const bench = useBenchStore()
const { client, ready, problem } = useBenchPicture()

const wall = ref<HTMLElement>(), canvas = ref<HTMLCanvasElement>()
const { width, height } = useElementSize(wall)
const TOP = 84, MARGIN = 34

/** Where the picture hangs, in wall pixels. */
const frame = computed(() => {
  const { width: w, height: h } = bench.submission!
  const scale = Math.max(0.01, Math.min((width.value - 2 * MARGIN) / w, (height.value - TOP - MARGIN) / h))
  const fw = w * scale, fh = h * scale
  return { x: (width.value - fw) / 2, y: TOP + (height.value - TOP - MARGIN - fh) / 2, w: fw, h: fh }
})

async function draw() {
  if (!ready.value) return
  const asked = bench.shownLens
  const bitmap = await client.call(w => w.lens(asked)).catch((error: Error) => { problem.value = error.message })
  if (!bitmap || !canvas.value) return
  if (asked === bench.shownLens) {
    canvas.value.width = bitmap.width
    canvas.value.height = bitmap.height
    canvas.value.getContext('2d')!.drawImage(bitmap, 0, 0)
    canvas.value.dataset.lens = asked.name
  }
  bitmap.close()
}
watch([() => bench.shownLens, ready], draw)
onMounted(draw)

const flat = (area: Area): number[] => cornersOf(area).flatMap(([x, y]) => [frame.value.x + x * frame.value.w, frame.value.y + y * frame.value.h])
/** A light casing under a dark core shows on any picture. */
const outline = (area: Area, dash: number[] = []) => [
  { points: flat(area), closed: true, stroke: '#f3f3f3', strokeWidth: 3.5, dash, listening: false },
  { points: flat(area), closed: true, stroke: '#111111', strokeWidth: 1.4, dash, listening: false }
]
const marks = computed(() => (bench.critique?.corrections ?? []).filter(c => c.area).map((c) => {
  const [cx, cy] = tagCornerOf(c.area!)
  const x = frame.value.x + cx * frame.value.w, y = frame.value.y + cy * frame.value.h
  const tag = tagOf(c)
  return { id: c.id, tag, lines: outline(c.area!), x: Math.max(2, x), y: Math.max(TOP - 20, y - 20), width: 12 + 8 * tag.length }
}))
const areas = computed(() => (bench.critique?.areas ?? [])
  .filter(a => !bench.critique!.corrections.some(c => JSON.stringify(c.area) === JSON.stringify(a.area)))
  .map(a => ({ id: a.id, lines: outline(a.area, [6, 5]) })))

const points = computed(() => (bench.comparing ? [] : bench.points ?? []).map(p => ({ label: p.label, x: frame.value.x + p.x * frame.value.w, y: frame.value.y + p.y * frame.value.h })))

let start: { x: number, y: number } | null = null
function fractionOf(stage: Konva.Stage): { x: number, y: number } {
  const p = stage.getPointerPosition() ?? { x: 0, y: 0 }
  return { x: (p.x - frame.value.x) / frame.value.w, y: (p.y - frame.value.y) / frame.value.h }
}
const stageOf = (event: Konva.KonvaEventObject<Event>): Konva.Stage => event.target.getStage()!
const clamp = (v: number): number => Math.min(1, Math.max(0, v))

function press(event: Konva.KonvaEventObject<Event>) {
  if (!bench.drawing) return
  const at = fractionOf(stageOf(event))
  start = { x: clamp(at.x), y: clamp(at.y) }
}
function move(event: Konva.KonvaEventObject<Event>) {
  const at = fractionOf(stageOf(event))
  const inside = at.x >= 0 && at.x < 1 && at.y >= 0 && at.y < 1
  emit('point', inside ? at : null)
  if (!start) return
  const x = clamp(at.x), y = clamp(at.y)
  const w = Math.abs(x - start.x), h = Math.abs(y - start.y)
  if (w > 0.004 && h > 0.004) bench.sketch = { kind: 'rectangle', x: Math.min(x, start.x), y: Math.min(y, start.y), w, h }
}
function lift() {
  if (start && bench.sketch) bench.drawing = false
  start = null
}
</script>

<template>
  <div ref="wall" class="wall" :class="{ drawing: bench.drawing }">
    <canvas
      ref="canvas" class="picture" role="img" :aria-label="`${bench.submission!.title}, seen through: ${bench.shownLens.name}`"
      :style="{ left: `${frame.x}px`, top: `${frame.y}px`, width: `${frame.w}px`, height: `${frame.h}px` }" />
    <p v-if="!ready || problem" class="waiting" role="status">{{ problem || 'Hanging the picture …' }}</p>
    <v-stage
      :config="{ width, height }" class="stage" @mousedown="press" @mousemove="move" @mouseup="lift" @mouseleave="emit('point', null)"
      @touchstart="press" @touchmove="move" @touchend="lift">
      <v-layer>
        <template v-for="a in areas" :key="`a${a.id}`"><v-line v-for="(l, i) in a.lines" :key="i" :config="l" /></template>
        <template v-if="bench.sketch"><v-line v-for="(l, i) in outline(bench.sketch, [6, 5])" :key="`s${i}`" :config="l" /></template>
        <v-group v-for="p in points" :key="`p${p.label}`" :config="{ x: p.x, y: p.y, listening: false }">
          <v-rect :config="{ x: -11, y: -11, width: 22, height: 22, rotation: 0, fill: '#f3f3f3', stroke: '#111111', strokeWidth: 1.5, cornerRadius: 11 }" />
          <v-text :config="{ text: p.label, x: -11, y: -7, width: 22, align: 'center', fontSize: 14, fontStyle: '600', fontFamily: 'Instrument Sans Variable', fill: '#111111' }" />
        </v-group>
        <template v-for="m in marks" :key="m.id">
          <v-line v-for="(l, i) in m.lines" :key="i" :config="l" />
          <v-group :config="{ x: m.x, y: m.y }" @click="emit('open', m.id)" @tap="emit('open', m.id)">
            <v-rect :config="{ width: m.width, height: 20, fill: '#111111', stroke: '#f3f3f3', strokeWidth: 1 }" />
            <v-text :config="{ text: m.tag, x: 6, y: 4, fontSize: 13, fontStyle: '600', fontFamily: 'Instrument Sans Variable', fill: '#f3f3f3' }" />
          </v-group>
        </template>
      </v-layer>
    </v-stage>
    <div class="over"><slot /></div>
  </div>
</template>

<style scoped>
.wall { position: relative; background: var(--wall); overflow: hidden; min-height: 0; }
.wall.drawing { cursor: crosshair; }
.picture { position: absolute; }
.stage { position: absolute; inset: 0; touch-action: none; }
.waiting { position: absolute; inset: 0; display: grid; place-items: center; color: #000; }
.over { position: absolute; inset: 0; pointer-events: none; }
.over > :deep(*) { pointer-events: auto; }
</style>
