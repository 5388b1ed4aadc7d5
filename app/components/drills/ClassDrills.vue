<script setup lang="ts">
import { DRILL_NAMES, drillOf, type DrillName } from '~~/core/drill/drills'
import { classDrillsSchema, type DrillRun } from '~~/shared/workshop'

/** A class's eyes: what each learner reached last, and how much finer it is than at first. */
const props = defineProps<{ classId: number; name: string }>()
const { data, problem } = useApiData(classDrillsSchema, () => `/classes/${props.classId}/drills`)
function cell(runs: readonly DrillRun[], drill: DrillName): { last: string; since: string } | null {
  const own = runs.filter(r => r.drill === drill),
    [last, first] = [own[0], own.at(-1)]
  if (!last || !first) return null
  const finer = Math.round(100 * (1 - last.threshold / first.threshold))
  // Only what both intervals leave open is a change.
  const sure = last.high < first.threshold || last.low > first.threshold
  return {
    last: `${last.threshold.toFixed(1)} ${drillOf(drill).unit}`,
    since: own.length < 2 || !sure ? '' : finer > 0 ? `${finer} % finer` : `${-finer} % coarser`
  }
}
const some = computed(() => data.value?.filter(l => l.runs.length) ?? [])
const drilled = computed(() => DRILL_NAMES.filter(d => some.value.some(l => l.runs.some(r => r.drill === d))))
</script>

<template>
  <section :aria-label="name">
    <h2>{{ name }}</h2>
    <p v-if="problem" role="alert">{{ problem }}</p>
    <p v-else-if="data && !some.length" class="words">Nobody of this class has drilled yet.</p>
    <div v-else-if="some.length" class="wide">
      <table>
        <thead>
          <tr>
            <th />
            <th v-for="d in drilled" :key="d" scope="col">{{ drillOf(d).title }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="learner in some" :key="learner.id">
            <th scope="row">{{ learner.name }}</th>
            <td v-for="d in drilled" :key="d">
              {{ cell(learner.runs, d)?.last }} <span class="quiet">{{ cell(learner.runs, d)?.since }}</span>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <p v-if="some.length" class="quiet">
      smaller is finer; on screens that nobody knows, so compare each with their own
    </p>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 8px;
  padding-top: 26px;
}
.wide {
  overflow-x: auto;
}
table {
  border-collapse: collapse;
  width: 100%;
}
th,
td {
  text-align: left;
  font-weight: 400;
  padding: 6px 18px 6px 0;
  border-top: 1px solid var(--line);
  vertical-align: top;
}
thead th {
  border: 0;
  font-size: 13px;
  color: var(--quiet);
}
</style>
