<script setup lang="ts">
import { pickedColour, lightAt } from '~~/core/paint/picked'
import type { Rgb } from '~~/core/colour/srgb'
import { decodeSmall } from '~/workshop/pictures'

/**
 * Places picked off a picture, one after the other, by pointer or by arrow keys; the paper's white first where it is
 * asked.
 */
const props = defineProps<{ title: string; places: readonly string[]; white?: boolean }>()
const emit = defineEmits<{ picked: [readonly string[]]; leave: [] }>()
const wanted = computed(() => [...(props.white ? ['the white paper beside it'] : []), ...props.places])
const lights = ref<readonly Rgb[]>([]),
  problem = ref(''),
  canvas = ref<HTMLCanvasElement>(),
  picture = shallowRef<ImageData | null>(null),
  at = ref({ x: 0.5, y: 0.5 })
const next = computed(() => wanted.value[lights.value.length])
async function open(source: Blob | string) {
  problem.value = ''
  try {
    const blob = typeof source === 'string' ? await (await fetch(source)).blob() : source
    picture.value = await decodeSmall(blob)
    lights.value = []
    await nextTick()
    canvas.value!.getContext('2d')!.putImageData(picture.value, 0, 0)
    canvas.value!.focus()
  } catch {
    problem.value = 'This picture cannot be opened: a JPEG, PNG or WebP can.'
  }
}
const REACH = 4
function pick() {
  const { width, height, data } = picture.value!
  const place = { x: Math.round(at.value.x * (width - 1)), y: Math.round(at.value.y * (height - 1)), reach: REACH }
  lights.value = [...lights.value, lightAt({ width, height, data: new Uint8ClampedArray(data) }, place)]
  if (lights.value.length === wanted.value.length) done()
}
function done() {
  const white = props.white ? lights.value[0]! : null,
    rest = props.white ? lights.value.slice(1) : lights.value
  try {
    emit(
      'picked',
      rest.map(light => pickedColour(light, white))
    )
  } catch (error) {
    problem.value = (error as Error).message
    lights.value = []
  }
}
function point(event: MouseEvent) {
  const { left, top, width, height } = canvas.value!.getBoundingClientRect()
  at.value = { x: (event.clientX - left) / width, y: (event.clientY - top) / height }
  pick()
}
const STEP = 0.01
const within = (v: number): number => Math.min(1, Math.max(0, v))
function key(event: KeyboardEvent) {
  const move = arrowOf(event.key)
  if (event.key === 'Enter') pick()
  else if (move) at.value = { x: within(at.value.x + STEP * move[0]), y: within(at.value.y + STEP * move[1]) }
  else return
  event.preventDefault()
}
</script>

<template>
  <v-dialog :model-value="true" max-width="960" @update:model-value="emit('leave')">
    <section class="pick" :aria-label="title">
      <h2>{{ title }}</h2>
      <p v-if="picture" role="status">
        Pick {{ next ?? 'another' }}.
        <button v-if="lights.length > (white ? 1 : 0)" class="word-link" @click="done">that is all</button>
      </p>
      <div v-if="picture" class="wall">
        <div class="frame">
          <canvas
            ref="canvas"
            :width="picture.width"
            :height="picture.height"
            tabindex="0"
            role="application"
            aria-label="The picture: arrow keys move, Enter picks"
            @click="point"
            @keydown="key"
          />
          <i class="cross" :style="{ left: `${100 * at.x}%`, top: `${100 * at.y}%` }" />
        </div>
      </div>
      <PictureChoice v-else @open="open" />
      <p v-if="problem" role="alert">{{ problem }}</p>
      <p><button class="word-link" @click="emit('leave')">leave it</button></p>
    </section>
  </v-dialog>
</template>

<style scoped>
.pick {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
  padding: 20px 24px;
  background: var(--paper);
}
.wall {
  background: var(--wall);
  padding: 16px;
  display: grid;
  place-items: center;
}
.frame {
  position: relative;
}
canvas {
  max-width: 100%;
  max-height: 62vh;
  cursor: crosshair;
}
.cross {
  position: absolute;
  width: 13px;
  height: 13px;
  margin: -7px 0 0 -7px;
  border: 2px solid var(--l0);
  outline: 1px solid var(--l100);
  pointer-events: none;
}
</style>
