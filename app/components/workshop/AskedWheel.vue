<script setup lang="ts">
import { list, stepWords, wholePercent } from '~~/core/critique/words'
import { partsInWords } from '~~/core/paint/told'
import { usePaintAnswer } from '~/workshop/usePaintAnswer'

/** The wheel from one's own paints: twelve steps, and which of them cannot be reached. */
const workshop = useWorkshopStore()
const { answer, problem } = usePaintAnswer(() => {
  const paints = [...workshop.paints],
    { wheel } = workshop
  return paints.length ? worker => worker.wheel(paints, wheel) : null
})
const missing = computed(() => answer.value?.filter(s => !s.reached).map(s => stepWords(s.step)) ?? [])
const line = computed(() =>
  !answer.value
    ? ''
    : missing.value.length
      ? `Not reached: ${list(missing.value)}.`
      : 'Every step of the wheel can be reached.'
)
</script>

<template>
  <div>
    <h2>The wheel from my paints</h2>
    <p class="words">{{ line }}</p>
    <ul v-if="answer">
      <li v-for="step in answer" :key="step.step" :class="{ missing: !step.reached }">
        <i :style="{ background: step.hex ?? 'transparent' }" :class="{ none: !step.hex }" />
        <span class="step"
          ><button class="plain" title="how do I get it" @click="workshop.wanted = step.anchor">
            {{ stepWords(step.step) }}
          </button></span
        >
        <span class="quiet">{{ step.hex ? partsInWords(step.parts) : 'nothing near it' }}</span>
        <span class="quiet share">{{ step.hex ? wholePercent(Math.min(1, step.share)) : '' }}</span>
      </li>
    </ul>
    <p v-if="answer" class="quiet under">
      at the right: how strong it is, of the wheel’s own; under 60 % a step counts as not reached. Press a step to want
      it.
    </p>
    <p v-if="problem" role="alert">{{ problem }}</p>
  </div>
</template>

<style scoped>
ul {
  list-style: none;
  columns: 2;
  column-gap: 24px;
  padding: 10px 0;
}
li {
  display: grid;
  grid-template-columns: 40px 1fr auto;
  column-gap: 10px;
  break-inside: avoid;
  padding: 5px 0;
  line-height: 1.25;
}
i {
  grid-row: span 2;
  height: 34px;
}
.none {
  border: 1px dashed var(--line);
}
.missing .step::after {
  content: ' · not reached';
  color: var(--accent);
}
.share {
  grid-row: 1;
  grid-column: 3;
}
.under {
  font-size: 13px;
}
@media (max-width: 600px) {
  ul {
    columns: 1;
  }
}
</style>
