<script setup lang="ts">
import { addDays, format } from 'date-fns'
import { EXERCISES, EXERCISE_KEYS, type ExerciseKey } from '~~/core/exercise'
import { rowOf } from '~~/core/critique/stations/table'
import { suggestExercises } from '~~/core/exercise/suggest'
import { assignmentListSchema } from '~~/shared/assignment'

/** The exercise that goes with a critique: what would train the weakest of it in one gesture, or any of the shelf. */
const bench = useBenchStore(),
  edits = useEditsStore()
const { data: assignments } = useApiData(assignmentListSchema, '/assignments')
const exercise = ref(bench.critique.assignment?.exercise ?? null)
const dueOn = ref(bench.critique.assignment?.dueOn ?? format(addDays(new Date(), 7), 'yyyy-MM-dd'))
const exercises = [
  { title: 'no exercise', value: null },
  ...EXERCISE_KEYS.map(key => ({ title: EXERCISES[key].title, value: key }))
]
/** What this learner was set before, the latest first. */
const before = computed(() =>
  (assignments.value ?? [])
    .filter(a => a.learner.id === bench.piece.learner.id && a.from?.submissionId !== bench.piece.id)
    .sort((p, q) => q.id - p.id)
    .map(a => a.exercise)
)
const suggested = computed(() =>
  suggestExercises(
    bench.readings.flatMap(r => {
      const own = bench.judgementOf(r.key)
      return own === 'dismissed' ? [] : [{ ...r, verdict: own ?? r.verdict }]
    }),
    before.value
  )
)
async function assign() {
  if (exercise.value) await edits.assign(exercise.value, dueOn.value)
  else if (bench.critique.assignment) await edits.unassign()
}
function take(key: ExerciseKey) {
  exercise.value = key
  void assign()
}
</script>

<template>
  <div class="choice">
    <ul v-if="!bench.closed && !exercise && assignments && suggested.length" aria-label="Exercises that would train it">
      <li v-for="{ key, because, station } in suggested" :key="key" :title="because">
        <button class="word-link" @click="take(key)">set {{ EXERCISES[key].title.toLowerCase() }}</button>
        <span class="quiet-text">for {{ rowOf(station).name.toLowerCase() }}</span>
      </li>
    </ul>
    <div class="exercise">
      <v-select
        v-model="exercise"
        :items="exercises"
        label="Exercise"
        :readonly="bench.closed"
        @update:model-value="assign"
      />
      <v-text-field
        v-if="exercise"
        v-model="dueOn"
        type="date"
        label="Due on"
        :readonly="bench.closed"
        @change="assign"
      />
    </div>
  </div>
</template>

<style scoped>
.choice,
ul {
  display: grid;
  gap: 8px;
}
ul {
  list-style: none;
  padding: 0;
}
li {
  display: flex;
  gap: 10px;
  align-items: baseline;
}
.quiet-text {
  color: var(--panel-quiet);
  font-size: 13px;
}
.exercise {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
}
</style>
