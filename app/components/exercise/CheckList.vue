<script setup lang="ts">
import type { Check, CheckResult } from '~~/core/exercise'

/** The checks of an exercise: what is asked, and once there is a hand-in what was found. */
const props = defineProps<{ checks: readonly Check[]; results: readonly CheckResult[] | null }>()
const rows = computed(() =>
  props.checks.map(check => ({ ...check, result: props.results?.find(r => r.id === check.id) ?? null }))
)
/** Shares are drawn to 100 %, steps to 100. */
const percent = (r: CheckResult, v: number): string => `${Math.min(100, r.atMost > 1 ? v : 100 * v)}%`
</script>

<template>
  <ol class="checks">
    <li v-for="row in rows" :key="row.id" :data-check="row.id">
      <p>{{ row.asks }}.</p>
      <template v-if="row.result">
        <p class="words">
          <b class="mark">{{ row.result.passed ? 'reached' : 'not yet' }}</b> {{ row.result.found }}
        </p>
        <div class="scale" aria-hidden="true">
          <span
            class="wanted"
            :style="{
              left: percent(row.result, row.result.atLeast),
              right: `calc(100% - ${percent(row.result, row.result.atMost)})`
            }"
          />
          <span class="found" :style="{ left: percent(row.result, row.result.value) }" />
        </div>
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
.scale {
  position: relative;
  height: 8px;
  background: var(--l80);
  margin-top: 6px;
}
.wanted {
  position: absolute;
  top: 0;
  bottom: 0;
  background: var(--l60);
}
.found {
  position: absolute;
  top: -3px;
  bottom: -3px;
  width: 3px;
  margin-left: -1px;
  background: var(--accent);
}
</style>
