<script setup lang="ts">
import type { Correction } from '~~/shared/critique'
import { linesOfMark, tagPointOf } from '~~/core/critique/mark'
import { usePicture } from '~/composables/usePicture'
import { tagOf } from '~~/core/critique/stations/table'

/** The picture as the learner sees it: on mid grey, its corrections numbered on it. */
const props = defineProps<{
  submissionId: number
  title: string
  width: number
  height: number
  corrections: Correction[]
}>()
const chosen = defineModel<number | null>({ required: true })

/** Corrections that show what they mean: all of them, or the one being read; held, the picture as it could be. */
const shown = computed(() => props.corrections.filter(c => c.trial && (chosen.value === null || c.id === chosen.value)))
const picture = props.corrections.some(c => c.trial) ? usePicture(props.submissionId) : null
const problem = computed(() => picture?.problem.value || picture?.failed.value || '')
const canvas = ref<HTMLCanvasElement>(),
  held = ref(false)
watch([shown, () => picture?.ready.value, canvas], async ([list, ready]) => {
  if (!picture || !ready || !canvas.value || list.length === 0) return
  const trials = list.map(c => ({ trial: toRaw(c.trial)!, area: toRaw(c.area) }))
  const bitmap = await picture.ask(w => w.tried(JSON.parse(JSON.stringify(trials)), false))
  if (!bitmap || !canvas.value) return
  canvas.value.width = bitmap.width
  canvas.value.height = bitmap.height
  canvas.value.getContext('2d')!.drawImage(bitmap, 0, 0)
  canvas.value.dataset.shows = String(trials.length)
  bitmap.close()
})
const hold = (down: boolean) => {
  held.value = down
}

const marks = computed(() =>
  props.corrections
    .filter(c => c.area)
    .map(c => {
      const [x, y] = tagPointOf(c.mark, c.area!)
      const lines = linesOfMark(c.mark, c.area, props).map(({ points, closed, filled }) => ({
        d: `M${points.map(([px, py]) => `${px * 1000} ${py * 1000}`).join('L')}${closed ? 'Z' : ''}`,
        filled
      }))
      return { id: c.id, tag: tagOf(c), lines, x, y }
    })
)
</script>

<template>
  <div class="wall">
    <div
      class="hang"
      :style="{ aspectRatio: `${width} / ${height}`, maxWidth: `calc(min(70vh, 640px) * ${width / height})` }"
    >
      <!-- Held by a finger, or by the mouse, it shows what is meant; a finger that moves scrolls. -->
      <img
        draggable="false"
        :src="apiAt(`/submissions/${submissionId}/picture/display`)"
        :alt="title"
        @pointerdown="hold(shown.length > 0)"
        @pointerup="hold(false)"
        @pointercancel="hold(false)"
        @pointerleave="hold(false)"
        @contextmenu="shown.length && $event.preventDefault()"
      />
      <canvas v-if="picture" v-show="held" ref="canvas" class="after" aria-hidden="true" />
      <svg viewBox="0 0 1000 1000" preserveAspectRatio="none" aria-hidden="true">
        <g v-for="m in marks" :key="m.id" fill="none" :opacity="chosen === null || chosen === m.id ? 1 : 0.35">
          <template v-for="(l, i) in m.lines" :key="i">
            <path
              :d="l.d"
              stroke="var(--l96)"
              stroke-width="3.5"
              stroke-linejoin="round"
              vector-effect="non-scaling-stroke"
            />
            <path
              :d="l.d"
              stroke="var(--l5)"
              stroke-width="1.4"
              stroke-linejoin="round"
              vector-effect="non-scaling-stroke"
              :fill="l.filled ? 'var(--l5)' : undefined"
            />
          </template>
        </g>
      </svg>
      <button
        v-for="m in marks"
        :key="m.id"
        class="tag"
        :aria-pressed="chosen === m.id"
        :aria-label="`correction ${m.tag}`"
        :style="{ left: `${Math.max(0, m.x) * 100}%`, top: `${Math.max(0, m.y) * 100}%` }"
        @click="chosen = chosen === m.id ? null : m.id"
      >
        {{ m.tag }}
      </button>
    </div>
    <p v-if="problem" role="alert" class="problem">What is meant cannot be shown: {{ problem }}</p>
    <button
      v-else-if="shown.length"
      class="word-link hold"
      :aria-pressed="held"
      @pointerdown="hold(true)"
      @pointerup="hold(false)"
      @pointerleave="hold(false)"
      @keydown.space.prevent="hold(true)"
      @keyup.space="hold(false)"
      @blur="hold(false)"
    >
      {{ held ? 'as it could be' : 'hold to see what is meant' }}
    </button>
  </div>
</template>

<style scoped>
.wall {
  background: var(--wall);
  padding: 32px;
  display: grid;
  justify-items: center;
}
.hang {
  position: relative;
  width: 100%;
}
img {
  -webkit-touch-callout: none;
  user-select: none;
  display: block;
  width: 100%;
  height: 100%;
}
.after {
  pointer-events: none;
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
}
.problem {
  margin-top: 14px;
  background: var(--paper);
  padding: 4px 10px;
}
.hold {
  margin-top: 14px;
  color: var(--l0);
  touch-action: none;
  user-select: none;
}
svg {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  overflow: visible;
  pointer-events: none;
}
.tag {
  position: absolute;
  transform: translateY(-100%);
  background: var(--l5);
  color: var(--l96);
  border: 1px solid var(--l96);
  font-size: 13px;
  font-weight: 600;
  padding: 0 6px;
  min-height: 24px;
  min-width: 24px;
}
@media (max-width: 600px) {
  .wall {
    padding: 10px;
  }
}
.tag[aria-pressed='true'] {
  background: var(--l96);
  color: var(--l5);
}
</style>
