<script setup lang="ts">
import { useDebounceFn } from '@vueuse/core'
import { stepWords } from '~~/core/critique/words'
import { PAINTER_STEPS } from '~~/core/wheel/steps'
import type { EffectNumbers } from '~~/core/trial/effect'
import { showsSomething, type Trial } from '~~/core/trial/trial'
import type { Correction } from '~~/shared/critique'
import { useBenchPicture } from '~/composables/usePicture'
import {
  NO_TRIAL,
  settingOf,
  TRIAL_SLIDERS,
  withOperation,
  withSetting,
  type TrialSlider
} from '~/composables/trialSliders'

/** Trying a correction on the picture: shown live while a slider moves, read before and after, kept with the correction. */
const props = defineProps<{ correction: Correction }>()
const bench = useBenchStore(),
  sight = useSightStore(),
  edits = useEditsStore()
const { client } = useBenchPicture()

const trial = shallowRef<Trial>(props.correction.trial ?? NO_TRIAL)
const before = shallowRef<EffectNumbers | null>(null),
  after = shallowRef<EffectNumbers | null>(null)
const wheel = computed(() => bench.report?.wheel ?? 'painter')

function show() {
  sight.trials = showsSomething(trial.value) ? [{ trial: trial.value, area: props.correction.area }] : []
  if (sight.trials.length && sight.lens.name !== 'plain') sight.lens = { name: 'plain' }
}
const numbers = (of: Trial) =>
  client
    .call(w =>
      w.effect(showsSomething(of) ? [{ trial: of, area: props.correction.area }] : [], [props.correction], wheel.value)
    )
    .then(
      ([first]) => first ?? null,
      () => null
    )
/** The picture is asked for first: it is looked at while the readings are still being taken. */
async function read() {
  await nextTick()
  after.value = showsSomething(trial.value) ? await numbers(trial.value) : null
  before.value ??= await numbers(NO_TRIAL)
}
const settle = useDebounceFn(async () => {
  sight.sliding = false
  const now = trial.value
  await read()
  if (bench.released || JSON.stringify(now) === JSON.stringify(props.correction.trial ?? NO_TRIAL)) return
  await edits.changeCorrection(props.correction.id, { ...props.correction, trial: showsSomething(now) ? now : null })
}, 450)
function change(next: Trial) {
  trial.value = next
  sight.sliding = true
  show()
  void settle()
}
// Taken back, done again, or another window's: the sliders follow, unless the hand is on one.
watch([() => props.correction.trial, () => edits.theirs], () => {
  const kept = props.correction.trial ?? NO_TRIAL
  if (sight.sliding || JSON.stringify(kept) === JSON.stringify(trial.value)) return
  trial.value = kept
  show()
  void read()
})
onMounted(async () => {
  show()
  await read()
})
onBeforeUnmount(() => {
  sight.trials = []
  sight.sliding = false
})

const slide = (slider: TrialSlider, event: Event) =>
  change(withSetting(trial.value, slider, Number((event.target as HTMLInputElement).value)))
const hue = computed(() => trial.value.operations.find(o => o.kind === 'hue') ?? null)
const steps = [
  { title: 'its own hue', value: -1 },
  ...PAINTER_STEPS.map((step, i) => ({ title: `toward ${stepWords(step)}`, value: 30 * i }))
]
const turn = (position: number, share: number) =>
  change(withOperation(trial.value, 'hue', position < 0 ? null : { kind: 'hue', wheel: 'painter', position, share }))

const { expected, blacks } = useTrialOffers(() => props.correction.area)
const lit = computed(() => trial.value.operations.some(o => o.kind === 'light'))
</script>

<template>
  <section class="trial" aria-label="Try it on the picture">
    <label v-for="s in TRIAL_SLIDERS" :key="s.kind" class="slider">
      <span>{{ s.less }}</span>
      <input
        type="range"
        :min="s.low"
        :max="s.high"
        :step="s.step"
        :value="settingOf(trial, s)"
        :aria-label="`${s.less}, ${s.more}`"
        @input="slide(s, $event)"
      />
      <span class="end">{{ s.more }}</span>
    </label>
    <div class="hue">
      <OwnTask
        ><v-select
          :model-value="hue?.position ?? -1"
          :items="steps"
          label="Hue"
          @update:model-value="turn($event, hue?.share ?? 0.5)"
      /></OwnTask>
      <input
        v-if="hue"
        type="range"
        min="0"
        max="1"
        step="0.05"
        :value="hue.share"
        aria-label="How far the hue is turned"
        @input="turn(hue.position, Number(($event.target as HTMLInputElement).value))"
      />
    </div>
    <p v-if="expected || blacks.length" class="more">
      <button
        v-if="expected"
        class="word-link"
        :aria-pressed="lit"
        @click="change(withOperation(trial, 'light', lit ? null : { kind: 'light', ratio: expected }))"
      >
        {{ lit ? 'back to its own light' : 'take it to the light of the others' }}
      </button>
      <template v-if="blacks.length"
        >black as
        <button
          v-for="hex in blacks"
          :key="hex"
          class="swatch"
          :style="{ background: hex }"
          :aria-label="`mix the black as ${hex}`"
          @click="change(withOperation(trial, 'black', { kind: 'black', hex }))"
      /></template>
    </p>
    <div class="more">
      <label
        >edge
        <input
          type="range"
          min="0"
          max="0.06"
          step="0.002"
          :value="trial.feather"
          aria-label="How wide the edge fades"
          @input="change({ ...trial, feather: Number(($event.target as HTMLInputElement).value) })"
      /></label>
      <label
        >strength
        <input
          type="range"
          min="0"
          max="1"
          step="0.05"
          :value="trial.strength"
          aria-label="Strength of the trial"
          @input="change({ ...trial, strength: Number(($event.target as HTMLInputElement).value) })"
      /></label>
      <label v-if="correction.area"
        ><input type="checkbox" :checked="trial.outside" @change="change({ ...trial, outside: !trial.outside })" />
        everything but the area</label
      >
      <button v-if="showsSomething(trial)" class="word-link" @click="change(NO_TRIAL)">nothing changed</button>
    </div>
    <StrokePainter :model-value="trial.strokes ?? []" @update:model-value="change({ ...trial, strokes: $event })" />
    <TrialEffect :before="before" :after="after" :target="correction.target" />
    <p v-if="sight.trials.length" class="hint">Hold space to see it as it was, or press c for a line between both.</p>
  </section>
</template>

<style scoped>
.trial {
  display: grid;
  gap: 6px;
  font-size: 12px;
  color: var(--panel-quiet);
  border-top: 1px solid var(--l40);
  padding-top: 8px;
}
.slider {
  display: grid;
  grid-template-columns: 92px 1fr 68px;
  gap: 8px;
  align-items: center;
}
.end {
  text-align: right;
}
input[type='range'] {
  accent-color: var(--l96);
  min-width: 0;
  width: 100%;
}
.hue {
  margin-top: 6px;
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
  align-items: center;
}
.more {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  align-items: center;
}
.more label {
  display: flex;
  gap: 6px;
  align-items: center;
}
.more input[type='range'] {
  width: 70px;
}
.swatch {
  width: 24px;
  height: 16px;
  border: 1px solid var(--l60);
}
</style>
