<script setup lang="ts">
import { DRILL_NAMES, drillOf, type DrillName } from '~~/core/drill/drills'
import type { DrillRun } from '~~/shared/workshop'

/** The drills, each with what one reached last and how it went: one is in hand. */
const props = defineProps<{ runs: readonly DrillRun[] }>()
const chosen = defineModel<DrillName>({ required: true })
const rows = computed(() =>
  DRILL_NAMES.map(name => {
    const own = props.runs.filter(r => r.drill === name).reverse(),
      last = own.at(-1)
    return { name, title: drillOf(name).title, unit: drillOf(name).unit, last, line: own.map(r => r.threshold) }
  })
)
/** A small line of what was reached: lower is finer. */
function path(line: readonly number[]): string {
  const most = Math.max(...line),
    least = Math.min(...line)
  return line
    .map(
      (v, i) =>
        `${i ? 'L' : 'M'}${(60 * i) / Math.max(1, line.length - 1)} ${18 - (16 * (v - least)) / (most - least || 1)}`
    )
    .join('')
}
</script>

<template>
  <ul class="drills">
    <li v-for="row in rows" :key="row.name">
      <button :aria-pressed="chosen === row.name" @click="chosen = row.name">
        <span>{{ row.title }}</span>
        <span class="quiet">{{ row.last ? `${row.last.threshold.toFixed(1)} ${row.unit}` : 'not yet' }}</span>
        <svg v-if="row.line.length > 1" viewBox="-1 0 62 20" aria-hidden="true"><path :d="path(row.line)" /></svg>
      </button>
    </li>
  </ul>
</template>

<style scoped>
.drills {
  list-style: none;
  padding: 10px 0;
}
button {
  display: grid;
  grid-template-columns: 1fr 62px;
  gap: 0 10px;
  width: 100%;
  padding: 6px 0 6px 10px;
  margin-left: -13px;
  border-left: 3px solid transparent;
  text-align: left;
}
button > span {
  grid-column: 1;
}
[aria-pressed='true'] {
  border-color: var(--accent);
}
[aria-pressed='true'] > span:first-child {
  font-weight: 600;
}
svg {
  grid-column: 2;
  grid-row: 1 / span 2;
  align-self: center;
  height: 20px;
}
path {
  fill: none;
  stroke: var(--l30);
  stroke-width: 1.2;
}
</style>
