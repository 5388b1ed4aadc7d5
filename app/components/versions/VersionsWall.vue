<script setup lang="ts">
import { useEventListener, useIntervalFn } from '@vueuse/core'
import { PLAIN_VIEW } from '~/wall/frame'
import { usePictureView } from '~/wall/usePictureView'
import type { Side, VersionsLens } from '~/workers/versions-protocol'

/** Two versions on one wall, in the old one's frame: a line between, the old one while held, or blinking. */
const props = defineProps<{ lens: VersionsLens; old: string; new: string }>()
const laid = useLaid()

const element = ref<HTMLElement>()
const { width, view, frame, moving, zoom, move } = usePictureView(element, () => laid.size.value)

const canvases = reactive<Record<Side, HTMLCanvasElement | null>>({ old: null, new: null })
const drawn = ref(0)
const draw = latest(async () => {
  const asked = props.lens,
    // A difference is the same on both sides.
    sides: Side[] = asked.name === 'difference' ? ['new'] : ['old', 'new']
  for (const side of sides) {
    const bitmap = await laid.shown(side, asked),
      canvas = canvases[side]
    if (!bitmap || !canvas) return
    canvas.width = bitmap.width
    canvas.height = bitmap.height
    canvas.getContext('2d')!.drawImage(bitmap, 0, 0)
    canvas.dataset.lens = asked.name
    bitmap.close()
  }
  drawn.value = laid.laid.value
})
watch([() => props.lens, laid.laid], () => laid.laid.value > 0 && void draw(undefined), { immediate: true })

const at = ref(0.5),
  lined = ref(true),
  held = ref(false)
const BLINK_MS = 600
const {
  isActive: blinking,
  pause,
  resume
} = useIntervalFn(() => (held.value = !held.value), BLINK_MS, {
  immediate: false
})
function blink() {
  if (blinking.value) {
    pause()
    held.value = false
  } else resume()
}
const alone = computed(() => props.lens.name === 'difference')
const between = computed(() => lined.value && !alone.value && !held.value && !blinking.value)
/** Right of the line the new one; all of it without a line; nothing of it while the old one is held. */
const clip = computed(() => (between.value ? `inset(0 0 0 ${at.value * width.value}px)` : undefined))
const style = computed(() => ({
  width: `${laid.size.value?.width ?? 1}px`,
  height: `${laid.size.value?.height ?? 1}px`,
  transform: frame.value.transform,
  imageRendering: frame.value.scale > 3 ? ('pixelated' as const) : ('auto' as const)
}))

useEventListener('pointerup', () => {
  held.value = held.value && blinking.value
})
</script>

<template>
  <div ref="element" class="wall" @wheel.prevent="zoom" @pointerdown.self="moving = true" @pointermove="move">
    <template v-if="laid.laid.value">
      <canvas
        v-show="!alone"
        :ref="el => (canvases.old = el as HTMLCanvasElement | null)"
        class="picture"
        role="img"
        :aria-label="props.old"
        :style="style"
      />
      <div class="right" :style="{ clipPath: clip, visibility: held ? 'hidden' : undefined }">
        <canvas
          :ref="el => (canvases.new = el as HTMLCanvasElement | null)"
          class="picture"
          role="img"
          :aria-label="alone ? 'what changed' : props.new"
          :style="style"
        />
      </div>
      <DividerLine
        v-if="between"
        v-model="at"
        :width="width"
        :before="props.old"
        :after="props.new"
        label="Line between the versions"
      />
    </template>
    <p v-if="!drawn || laid.problem.value" class="waiting" role="status">
      {{ laid.problem.value || 'Hanging both versions …' }}
    </p>
    <div class="tools">
      <button
        class="word-link"
        :disabled="alone"
        @pointerdown="held = true"
        @keydown.space.prevent="held = true"
        @keyup.space="held = false"
        @blur="held = held && blinking"
      >
        hold: the old one
      </button>
      <button class="word-link" :disabled="alone" :aria-pressed="lined" @click="lined = !lined">line between</button>
      <button class="word-link" :disabled="alone" :aria-pressed="blinking" @click="blink">blink</button>
      <button v-if="view !== PLAIN_VIEW" class="word-link" @click="view = PLAIN_VIEW">fit</button>
      <slot />
    </div>
  </div>
</template>

<style scoped>
.wall {
  position: relative;
  overflow: hidden;
  background: var(--wall);
  color: var(--l0);
  min-height: 0;
  touch-action: none;
}
.right {
  position: absolute;
  inset: 0;
  pointer-events: none;
}
.picture {
  position: absolute;
  left: 0;
  top: 0;
  transform-origin: 0 0;
  max-width: none;
  pointer-events: none;
}
.wall :deep(.line) {
  top: 0;
}
.wall :deep(.line span) {
  top: 10px;
  bottom: auto;
}
.waiting {
  position: absolute;
  inset: 0;
  display: grid;
  place-items: center;
  pointer-events: none;
}
.tools {
  position: absolute;
  left: 0;
  bottom: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
  align-items: baseline;
  background: var(--l20);
  color: var(--l96);
  padding: 4px 12px;
  font-size: 13px;
  z-index: 2;
}
.tools :deep([aria-pressed='true']) {
  font-weight: 600;
  border-bottom-width: 2px;
}
</style>
