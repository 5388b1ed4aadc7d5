<script setup lang="ts">
import { keyReadings } from '~~/core/critique/key-readings'
import type { Critique } from '~~/shared/critique'

/** What else was measured, in sentences: what stands with the corrections is not said again. */
const props = defineProps<{ critique: Critique }>()
const MOST = 6
const WORDS = { works: 'works', look: 'look again', fix: 'to fix' } as const
const readings = computed(() =>
  keyReadings(
    {
      readings: props.critique.readings,
      judged: props.critique.notes.judged,
      said: props.critique.corrections.map(c => c.reason)
    },
    MOST
  )
)
</script>

<template>
  <details v-if="readings.length" class="measured">
    <summary>What else was measured</summary>
    <dl>
      <template v-for="r in readings" :key="r.key">
        <dt class="quiet">{{ WORDS[r.verdict] }}</dt>
        <dd>
          <p class="words">{{ r.sentence }}</p>
          <p class="quiet">{{ r.why }}</p>
        </dd>
      </template>
    </dl>
  </details>
</template>

<style scoped>
summary {
  cursor: pointer;
  font-family: var(--serif);
  font-size: 19px;
}
dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 10px 12px;
  padding-top: 8px;
}
dt {
  font-size: 12px;
  padding-top: 3px;
}
</style>
