<script setup lang="ts">
import { useObjectUrl } from '@vueuse/core'

/** The outer corners of the four corner marks, pointed at in order. Arrow keys move the one that has the focus. */
const props = defineProps<{ file: File }>()
const corners = defineModel<{ x: number; y: number }[]>({ required: true })
const url = useObjectUrl(() => props.file)
const NAMES = ['top left', 'top right', 'bottom right', 'bottom left'] as const
const held = (v: number): number => Math.min(1, Math.max(0, v))
function point(event: MouseEvent) {
  const box = (event.currentTarget as HTMLElement).getBoundingClientRect()
  const at = { x: held((event.clientX - box.left) / box.width), y: held((event.clientY - box.top) / box.height) }
  corners.value = corners.value.length === 4 ? [at] : [...corners.value, at]
}
const STEPS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1]
}
function nudge(event: KeyboardEvent, i: number) {
  const step = STEPS[event.key]
  if (!step) return
  event.preventDefault()
  const by = event.shiftKey ? 0.01 : 0.001
  corners.value = corners.value.map((c, k) =>
    k === i ? { x: held(c.x + by * step[0]), y: held(c.y + by * step[1]) } : c
  )
}
const asked = computed(() => NAMES[corners.value.length] ?? null)
</script>

<template>
  <div class="by-hand">
    <p role="status">
      {{
        asked
          ? `Point at the outer corner of the mark at the sheet’s ${asked}.`
          : 'All four are set. Arrow keys move one; another click begins again.'
      }}
    </p>
    <div v-if="url" class="photo" @click="point">
      <img :src="url" alt="The photograph" />
      <button
        v-for="(c, i) in corners"
        :key="i"
        class="corner"
        :style="{ left: `${100 * c.x}%`, top: `${100 * c.y}%` }"
        :aria-label="`Corner at the ${NAMES[i]}`"
        @click.stop
        @keydown="nudge($event, i)"
      />
    </div>
  </div>
</template>

<style scoped>
.photo {
  position: relative;
  width: fit-content;
  cursor: crosshair;
}
img {
  max-width: 100%;
  max-height: 70vh;
}
.corner {
  position: absolute;
  width: 24px;
  height: 24px;
  margin: -12px;
  border: 2px solid var(--l5);
  outline: 2px solid var(--l96);
  background: none;
}
</style>
