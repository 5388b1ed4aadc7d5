<script setup lang="ts">
import { format } from 'date-fns'
import type { Drill } from '~~/core/drill/drills'
import type { DrillRun } from '~~/shared/workshop'

/** What was reached, run by run, with how sure it is. */
const props = defineProps<{ drill: Drill; runs: readonly DrillRun[] }>()
const most = computed(() => Math.max(...props.runs.map(r => r.high)))
const percent = (v: number): string => `${(100 * v) / most.value}%`
</script>

<template>
  <table v-if="runs.length">
    <caption class="quiet">
      smaller is finer; the line is where it lies with 95 of 100
    </caption>
    <tbody>
      <tr v-for="run in runs" :key="run.id">
        <td class="quiet">{{ format(new Date(run.at), 'd MMM') }}</td>
        <td>{{ run.threshold.toFixed(1) }} {{ drill.unit }}</td>
        <td class="quiet">{{ run.setting === 'plain' ? '' : run.setting }}</td>
        <td class="range">
          <i :style="{ left: percent(run.low), width: percent(run.high - run.low) }" />
          <b :style="{ left: percent(run.threshold) }" />
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
table {
  width: 100%;
  border-collapse: collapse;
}
caption {
  caption-side: bottom;
  text-align: left;
  padding-top: 6px;
  font-size: 13px;
}
td {
  padding: 4px 12px 4px 0;
  border-top: 1px solid var(--line);
  white-space: nowrap;
}
.range {
  position: relative;
  width: 55%;
}
.range i {
  position: absolute;
  top: 50%;
  height: 1px;
  background: var(--l30);
}
.range b {
  position: absolute;
  top: calc(50% - 5px);
  width: 3px;
  height: 11px;
  background: var(--l15);
}
</style>
