<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { ROOMS, type Conditions } from '~~/shared/workshop'

/** What this screen can show: near-black and near-white steps, the gamma figure, and the room. */
const conditions = defineModel<Conditions>({ required: true })
const set = (some: Partial<Conditions>) => (conditions.value = { ...conditions.value, ...some })
/** Bytes of the four squares on black and on white. */
const STEPS = [4, 8, 12, 18] as const
const grey = (byte: number): string => `rgb(${byte} ${byte} ${byte})`
const ENDS = [
  { key: 'black', ground: '#000', from: 0, ask: 'How many squares do you see in the black?' },
  { key: 'white', ground: '#fff', from: 255, ask: 'And in the white?' }
] as const
const COUNTS = ['none', 'one', 'two', 'three', 'all four'].map((label, i) => ({ key: String(i), label }))
const key = (value: number | null): string | null => (value === null ? null : String(value))
/** Lines of black and white send back half the light: a solid patch that melts into them tells the gamma. */
const GAMMAS = [1.4, 1.8, 2.2, 2.6, 3] as const
const solid = (gamma: number): string => grey(Math.round(255 * 0.5 ** (1 / gamma)))
const WORDS: Readonly<Record<(typeof ROOMS)[number], string>> = {
  daylight: 'daylight, none of it on the screen',
  evening: 'lamps, none of them on the screen',
  dim: 'nearly dark',
  glare: 'light on the screen'
}
const rooms = ROOMS.map(r => ({ key: r, label: WORDS[r] }))
const lines = ref<HTMLCanvasElement>()
const { width, height } = useElementSize(lines)
/** One line a pixel of the screen itself: thinner or thicker ones would send back something else. */
watch([width, height], ([w, h]) => {
  const canvas = lines.value
  if (!canvas || !w) return
  const ratio = window.devicePixelRatio
  canvas.width = Math.round(w * ratio)
  canvas.height = Math.round(h * ratio)
  const context = canvas.getContext('2d')!
  for (let y = 0; y < canvas.height; y++) {
    context.fillStyle = y % 2 ? '#ffffff' : '#000000'
    context.fillRect(0, y, canvas.width, 1)
  }
})
</script>

<template>
  <section class="check" aria-label="What this screen can show">
    <h2>First, the screen</h2>
    <p class="words">
      No screen shows what paint does, and nobody knows this one. Sit where the room is neutral and even, turn off what
      warms the screen at night, and look:
    </p>
    <div class="four">
      <div v-for="end in ENDS" :key="end.key">
        <p class="steps" :style="{ background: end.ground }">
          <i v-for="s in STEPS" :key="s" :style="{ background: grey(Math.abs(end.from - s)) }" />
        </p>
        <p>{{ end.ask }}</p>
        <WordChoice
          :model-value="key(conditions[end.key])"
          :label="`Squares in the ${end.key}`"
          :choices="COUNTS"
          @update:model-value="k => set({ [end.key]: Number(k) })"
        />
      </div>
      <div>
        <div class="gamma">
          <canvas ref="lines" />
          <button
            v-for="g in GAMMAS"
            :key="g"
            :aria-label="`Patch ${g}`"
            :aria-pressed="conditions.gamma === g"
            :style="{ background: solid(g) }"
            @click="set({ gamma: g })"
          />
        </div>
        <p>Step back, or half close your eyes: which patch melts into the lines?</p>
      </div>
      <div>
        <p>The room:</p>
        <WordChoice
          :model-value="conditions.room"
          label="The room"
          :choices="rooms"
          @update:model-value="k => set({ room: k as Conditions['room'] })"
        />
      </div>
    </div>
  </section>
</template>

<style scoped>
.check {
  display: grid;
  gap: 12px;
}
.four {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 22px 34px;
}
.four > div {
  display: grid;
  gap: 8px;
  align-content: start;
}
.steps {
  display: flex;
  gap: 34px;
  padding: 24px;
}
.steps i {
  width: 40px;
  height: 40px;
}
.gamma {
  position: relative;
  display: flex;
  justify-content: space-around;
  padding: 22px 10px;
}
canvas {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
}
.gamma button {
  position: relative;
  width: 44px;
  height: 44px;
}
.gamma [aria-pressed='true'] {
  outline: 3px solid var(--l0);
  box-shadow: 0 0 0 6px var(--l100);
}
@media (max-width: 640px) {
  .four {
    grid-template-columns: 1fr;
  }
}
</style>
