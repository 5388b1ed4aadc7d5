<script setup lang="ts">
import { EARTH } from '~/theme/greys'
import { formatHex, hexOfLinear } from '~~/core/colour/srgb'
import { convertOklabToLinear } from '~~/core/colour/oklab'
import { TRIAL_LIMITS, type PaintedStroke } from '~~/core/trial/trial'
import { PAINTER_STEPS } from '~~/core/wheel/steps'
import { anchorAt } from '~~/core/wheel/wheel'
import { stepWords } from '~~/core/critique/words'
import { useBenchPicture } from '~/composables/usePicture'

/**
 * A few strokes painted over the picture to show what is meant: one colour at a time, from the picture or from the
 * wheel.
 */
const strokes = defineModel<readonly PaintedStroke[]>({ required: true })
const sight = useSightStore(),
  pencil = usePencilStore()
const { ask } = useBenchPicture()

const hex = ref<string>(EARTH),
  width = ref(0.012)
const wheel = PAINTER_STEPS.map((step, i) => ({
  step,
  hex: hexOfLinear(convertOklabToLinear(anchorAt('painter', 30 * i)))
}))
const painting = computed(() => pencil.tool === 'stroke' && sight.brush !== null)
const full = computed(() => strokes.value.length >= TRIAL_LIMITS.strokes)

async function pick() {
  const at = await pencil.pickPoint()
  const read = at && (await ask(w => w.probe(at.x, at.y, 'painter')))
  if (read) hex.value = read.hex
}
async function paint() {
  const brush = {
    hex: formatHex([1, 3, 5].map(i => Number.parseInt(hex.value.slice(i, i + 2), 16))),
    width: width.value
  }
  const waiting = pencil.drawMark('stroke')
  sight.brush = brush
  const drawn = await waiting
  sight.brush = null
  if (drawn?.kind === 'stroke') strokes.value = [...strokes.value, { ...brush, points: drawn.points }]
}
onBeforeUnmount(() => {
  if (painting.value) pencil.drop()
})
</script>

<template>
  <div class="painter" role="group" aria-label="Paint it over">
    <span>paint it over in</span>
    <span class="hand" :style="{ background: hex }" :title="hex" />
    <button class="word-link" @click="pick">
      {{ pencil.tool === 'point' ? 'click on the picture …' : 'a colour of the picture' }}
    </button>
    <span class="steps"
      ><button
        v-for="s in wheel"
        :key="s.step"
        class="swatch"
        :style="{ background: s.hex }"
        :aria-label="stepWords(s.step)"
        :aria-pressed="hex === s.hex"
        @click="hex = s.hex"
    /></span>
    <label
      >width
      <SlideBar v-model="width" :low="0.003" :high="TRIAL_LIMITS.strokeWidth" :step="0.001" label="Width of the stroke"
    /></label>
    <button v-if="!full" class="word-link" :aria-pressed="painting" @click="painting ? pencil.drop() : paint()">
      {{ painting ? 'draw on the picture …' : 'a stroke' }}
    </button>
    <button v-if="strokes.length" class="word-link" @click="strokes = strokes.slice(0, -1)">
      take the last of {{ strokes.length }} away
    </button>
  </div>
</template>

<style scoped>
.painter {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  align-items: center;
  border-top: 1px solid var(--l40);
  padding-top: 6px;
}
.hand {
  width: 24px;
  height: 16px;
  border: 1px solid var(--l96);
}
.steps {
  display: flex;
  gap: 2px;
}
.swatch {
  width: 18px;
  height: 18px;
  border: 1px solid var(--l60);
}
.swatch[aria-pressed='true'] {
  outline: 2px solid var(--l96);
  outline-offset: 1px;
}
label {
  display: flex;
  gap: 6px;
  align-items: center;
}
input {
  width: 80px;
}
</style>
