<script setup lang="ts">
import { stepWords } from '~~/core/critique/words'
import { showsSomething } from '~~/core/trial/trial'
import { PAINTER_STEPS } from '~~/core/wheel/steps'
import type { Correction } from '~~/shared/critique'
import { NO_TRIAL, settingOf, TRIAL_SLIDERS, withOperation, withSetting } from '~/utils/trialSliders'

/** Trying a correction on the picture: the sliders, and what is read before and after. */
const props = defineProps<{ correction: Correction }>()
const sight = useSightStore()
const { trial, before, after, change } = useTrial(() => props.correction)

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
      <SlideBar
        :low="s.low"
        :high="s.high"
        :step="s.step"
        :model-value="settingOf(trial, s)"
        :label="`${s.less}, ${s.more}`"
        @update:model-value="change(withSetting(trial, s, $event))"
      />
      <span class="end">{{ s.more }}</span>
    </label>
    <div class="hue">
      <v-select
        :model-value="hue?.position ?? -1"
        :items="steps"
        label="Hue"
        @update:model-value="turn($event, hue?.share ?? 0.5)"
      />
      <SlideBar
        v-if="hue"
        :low="0"
        :high="1"
        :step="0.05"
        :model-value="hue.share"
        label="How far the hue is turned"
        @update:model-value="turn(hue.position, $event)"
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
        <SlideBar
          :low="0"
          :high="0.06"
          :step="0.002"
          :model-value="trial.feather"
          label="How wide the edge fades"
          @update:model-value="change({ ...trial, feather: $event })"
      /></label>
      <label
        >strength
        <SlideBar
          :low="0"
          :high="1"
          :step="0.05"
          :model-value="trial.strength"
          label="Strength of the trial"
          @update:model-value="change({ ...trial, strength: $event })"
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
.slider > input,
.hue > input {
  width: 100%;
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
