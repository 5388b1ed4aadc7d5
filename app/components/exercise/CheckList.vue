<script setup lang="ts">
import { hasEvidence } from '~~/core/exercise/evidence'
import type { Check, CheckResult, Settings } from '~~/core/exercise'

/** The checks of an exercise: what is asked, and once there is a hand-in what was found, and what to try. */
const props = defineProps<{
  checks: readonly Check[]
  settings: Settings
  results: readonly CheckResult[] | null
  /** Whether what a check stands on can be shown on the picture. */
  shows?: boolean
}>()
/** Id of the check that is shown on the picture. */
const shown = defineModel<string | null>('shown', { default: null })
const rows = computed(() =>
  props.checks.map(check => ({ ...check, result: props.results?.find(r => r.id === check.id) ?? null }))
)
</script>

<template>
  <ol class="checks">
    <li v-for="row in rows" :key="row.id" :data-check="row.id">
      <p>{{ row.result?.asks ?? row.asks(settings) }}.</p>
      <template v-if="row.result">
        <p class="words">
          <b class="mark">{{ row.result.passed ? 'reached' : 'not yet' }}</b> {{ row.result.found }}
          <button
            v-if="shows && hasEvidence(row.id)"
            class="word-link"
            :aria-pressed="shown === row.id"
            @click="shown = shown === row.id ? null : row.id"
          >
            {{ shown === row.id ? 'the picture again' : 'show me' }}
          </button>
        </p>
        <p v-if="row.result.tip" class="quiet">{{ row.result.tip }}</p>
        <CheckScale :result="row.result" />
      </template>
    </li>
  </ol>
</template>

<style scoped>
.checks {
  list-style: none;
  padding: 0;
  display: grid;
  gap: 14px;
}
.mark {
  font-family: var(--sans);
  font-size: 12px;
  border: 1px solid var(--ink);
  padding: 1px 6px;
  font-weight: 600;
}
.words .word-link {
  font-family: var(--sans);
}
</style>
