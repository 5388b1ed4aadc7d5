<script setup lang="ts">
import { addDays, format } from 'date-fns'
import { EXERCISES, EXERCISE_KEYS, PLAIN_SETTINGS, type ExerciseKey } from '~~/core/exercise'
import { rowOf } from '~~/core/critique/stations/table'
import { suggestExercises } from '~~/core/exercise/suggest'
import { assignmentListSchema, lastSetFirst } from '~~/shared/exercises/assignment'
import { ownListSchema } from '~~/shared/exercises/own-exercise'

/** The exercise that goes with a critique: what would train the weakest of it in one gesture, or any of the shelf. */
const bench = useBenchStore(),
  edits = useEditsStore(),
  session = useSessionStore()
const { data: assignments } = useApiData(assignmentListSchema, '/assignments')
const { data: own } = useApiData(ownListSchema, () =>
  session.person.roles.includes('instructor') ? '/own-exercises' : null
)
const given = bench.critique.assignment
/** Of the shelf by its key, of one's own by its number; one's own that is set already stays as it was set. */
type Chosen = ExerciseKey | number | 'as set' | null
const chosen = ref<Chosen>(given ? (given.own ? 'as set' : given.exercise) : null)
const settings = reactive({
  dueOn: given?.dueOn ?? format(addDays(new Date(), 7), 'yyyy-MM-dd'),
  hue: given?.settings.hue ?? PLAIN_SETTINGS.hue,
  tolerance: given?.settings.tolerance ?? PLAIN_SETTINGS.tolerance
})
const exercises = computed((): { title: string; value: Chosen }[] => [
  { title: 'no exercise', value: null },
  ...(given?.own ? [{ title: given.own.title, value: 'as set' as const }] : []),
  ...(own.value ?? []).map(o => ({ title: o.exercise.title, value: o.id })),
  ...EXERCISE_KEYS.map(key => ({ title: EXERCISES[key].title, value: key }))
])
/** The shelf's that stands behind what is chosen. */
const base = computed((): ExerciseKey | null => {
  if (chosen.value === null) return null
  if (chosen.value === 'as set') return given!.exercise
  return typeof chosen.value === 'number'
    ? (own.value?.find(o => o.id === chosen.value)?.exercise.base ?? null)
    : chosen.value
})
const keys = computed(() => [{ value: null, title: 'the learner’s choice' }, ...keyChoices(bench.known.wheel)])
/** What this learner was set before, the latest first. */
const before = computed(() =>
  (assignments.value ?? [])
    .filter(a => a.learner.id === bench.piece.learner.id && a.from?.submissionId !== bench.piece.id)
    .sort(lastSetFirst)
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
  const { value } = chosen
  if (base.value === null) {
    if (bench.critique.assignment) await edits.unassign()
  } else {
    const of = typeof value === 'number' || value === 'as set' ? value : null
    await edits.assign({ exercise: base.value, own: of, medium: given?.settings.medium, ...settings })
  }
}
function take(key: ExerciseKey) {
  chosen.value = key
  void assign()
}
</script>

<template>
  <div class="choice">
    <ul v-if="!bench.closed && !chosen && assignments && suggested.length" aria-label="Exercises that would train it">
      <li v-for="{ key, because, station } in suggested" :key="key" :title="because">
        <button class="word-link" @click="take(key)">set {{ EXERCISES[key].title.toLowerCase() }}</button>
        <span class="quiet-text">for {{ rowOf(station).name.toLowerCase() }}</span>
      </li>
    </ul>
    <div class="exercise">
      <v-select
        v-model="chosen"
        :items="exercises"
        label="Exercise"
        :readonly="bench.closed"
        @update:model-value="assign"
      />
      <template v-if="base">
        <v-text-field v-model="settings.dueOn" type="date" label="Due on" :readonly="bench.closed" @change="assign" />
        <v-select
          v-if="EXERCISES[base].keyed"
          v-model="settings.hue"
          :items="keys"
          label="Key colour"
          :readonly="bench.closed"
          @update:model-value="assign"
        />
        <v-select
          v-model="settings.tolerance"
          :items="TOLERANCE_CHOICES"
          label="How closely"
          :readonly="bench.closed"
          @update:model-value="assign"
        />
      </template>
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
