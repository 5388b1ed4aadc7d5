<script setup lang="ts">
import { exerciseRecordSchema } from '~~/shared/exercises/assignment'
import { classListSchema } from '~~/shared/class'

/** Who is where with the exercises of a class, and which check is missed most. */
definePageMeta({ whose: ['instructor', 'assistant'] })

const id = Number(useRoute().params.id)
const { data: record, problem } = useApiData(exerciseRecordSchema, `/classes/${id}/exercises`)
const { data: classes } = useApiData(classListSchema, '/classes')
const name = computed(() => classes.value?.find(c => c.id === id)?.name ?? '')
useHead({ title: () => `Exercises, ${name.value} · Critica` })
const HEADINGS = [
  { key: 'name', title: 'Name', from: 0 },
  { key: 'set', title: 'Set', from: 0, align: 'end' as const },
  { key: 'planned', title: 'Planned', from: 900, align: 'end' as const },
  { key: 'tried', title: 'Tried first', from: 900, align: 'end' as const },
  { key: 'handedIn', title: 'Handed in', from: 0, align: 'end' as const },
  { key: 'onTime', title: 'On time', from: 600, align: 'end' as const },
  { key: 'passed', title: 'All reached', from: 600, align: 'end' as const },
  { key: 'confirmed', title: 'Confirmed', from: 0, align: 'end' as const }
]
const line = computed(() => {
  if (!record.value) return '…'
  const of = (key: 'set' | 'handedIn' | 'confirmed'): number =>
    record.value!.learners.reduce((sum, l) => sum + l[key], 0)
  return of('set')
    ? `${capital(ofAll(of('handedIn'), of('set')))} exercises are handed in,`
        + ` ${of('confirmed') ? countWord(of('confirmed')) : 'none'} confirmed.`
    : 'Nothing is set in this class yet.'
})
const fileName = computed(() => `${name.value || 'class'} exercises.csv`)
</script>

<template>
  <div class="with-side">
    <header>
      <NuxtLink to="/exercises" class="quiet">Exercises</NuxtLink>
      <h1>{{ name }}</h1>
      <p class="words">{{ line }}</p>
      <p v-if="problem" role="alert">{{ problem }}</p>
    </header>
    <section aria-labelledby="who-title">
      <h2 id="who-title">Who is where</h2>
      <a class="word-link" :href="apiAt(`/classes/${id}/exercises/table`)" :download="fileName"
        >all of it as a table (CSV)</a
      >
      <LazyOpenTable
        v-if="record?.learners.length"
        v-slot="{ line: who }"
        :lines="record.learners"
        :headings="HEADINGS"
      >
        <LazyLearnerExercises :class-id="id" :learner-id="who.id" />
      </LazyOpenTable>
    </section>
    <aside>
      <section v-if="record?.missed.length" aria-labelledby="missed-title">
        <h2 id="missed-title">Missed most</h2>
        <ul>
          <li v-for="m in record.missed" :key="`${m.title} ${m.check}`">
            {{ m.name }} <span class="quiet">· {{ m.title }}, {{ m.missed }} of {{ m.of }}</span>
          </li>
        </ul>
      </section>
      <section v-if="record?.sets.length" aria-labelledby="sets-title">
        <h2 id="sets-title">Set to the class</h2>
        <ul>
          <li v-for="s in record.sets" :key="s.id">
            <NuxtLink :to="`/exercises/sets/${s.id}`">{{ s.title }}</NuxtLink>
            <span class="quiet"> · {{ s.handedIn }} of {{ s.of }} handed in, due {{ dueWords(s.dueOn) }}</span>
          </li>
        </ul>
      </section>
    </aside>
  </div>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 0;
  display: grid;
  gap: 6px;
  margin-top: 6px;
}
</style>
