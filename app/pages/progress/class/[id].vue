<script setup lang="ts">
import { EXERCISES } from '~~/core/exercise'
import { rowOf, STATIONS } from '~~/core/critique/stations/table'
import type { StationTally } from '~~/core/progress/tally'
import * as words from '~~/core/critique/words'
import { classProgressSchema, type ClassProgress } from '~~/shared/pieces/progress'

/** A class over the term: learner by station at a glance, and what all of it should practise next. */
definePageMeta({ whose: ['instructor', 'assistant'] })

const id = Number(useRoute().params.id)
const { data: progress, problem } = useApiData(classProgressSchema, `/classes/${id}/progress`)
useHead({ title: () => `The term, ${progress.value?.name ?? 'class'} · Critica` })
/** Stations at which anybody was marked. */
const stations = computed(() =>
  STATIONS.filter(s => progress.value?.learners.some(l => l.tally.some(t => t.station === s)))
)
const tallyAt = (l: ClassProgress['learners'][number], station: string): StationTally | null =>
  l.tally.find(t => t.station === station) ?? null
const openOf = ({ open, untried }: StationTally): number => open + untried
const saidOf = (t: StationTally): string =>
  openOf(t) ? `${openOf(t)} of ${t.marked} open` : `${t.marked} of ${t.marked} landed`
const line = computed(() => {
  const next = progress.value?.practise[0]
  if (!progress.value) return '…'
  return next
    ? `Most would gain from ${EXERCISES[next.key].title.toLowerCase()}: ${words.list([...next.learners])}.`
    : 'Nothing asks for practice by all of them.'
})
</script>

<template>
  <div class="with-side">
    <header>
      <NuxtLink to="/desk" class="quiet">Desk</NuxtLink>
      <h1>{{ progress?.name ?? '…' }}</h1>
      <p class="words">{{ line }}</p>
      <p v-if="problem" role="alert">{{ problem }}</p>
      <p class="word-row">
        <a class="word-link" :href="apiAt(`/classes/${id}/progress/table`)" download>all of it as a table (CSV)</a>
        <NuxtLink class="word-link" :to="`/exercises/record/${id}`">exercises of the class</NuxtLink>
      </p>
    </header>
    <section aria-labelledby="glance-title">
      <h2 id="glance-title">Learner by station</h2>
      <div class="wide">
        <table v-if="progress">
          <thead>
            <tr>
              <th scope="col">Learner</th>
              <th v-for="s in stations" :key="s" scope="col">{{ rowOf(s).name }}</th>
              <th scope="col" class="end">Pieces</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="l in progress.learners" :key="l.id">
              <th scope="row">
                <NuxtLink :to="`/progress/${l.id}`">{{ l.name }}</NuxtLink>
              </th>
              <td v-for="s in stations" :key="s">
                <span
                  v-if="tallyAt(l, s)"
                  class="cell"
                  :class="{ open: openOf(tallyAt(l, s)!) > 0 }"
                  :title="saidOf(tallyAt(l, s)!)"
                  >{{ saidOf(tallyAt(l, s)!) }}</span
                >
              </td>
              <td class="end">{{ l.pieces }}</td>
            </tr>
          </tbody>
        </table>
      </div>
      <p v-if="progress && !stations.length" class="quiet">No critique with a correction is released yet.</p>
    </section>
    <aside>
      <section v-if="progress?.practise.length" aria-labelledby="next-title">
        <h2 id="next-title">To practise next</h2>
        <ul>
          <li v-for="p in progress.practise" :key="p.key">
            <NuxtLink to="/exercises">{{ EXERCISES[p.key].title }}</NuxtLink>
            <span class="quiet"> for {{ rowOf(p.station).name.toLowerCase() }}: {{ words.list([...p.learners]) }}</span>
          </li>
        </ul>
      </section>
    </aside>
  </div>
</template>

<style scoped>
/* As broad as the page, however long somebody is called. */
section {
  grid-template-columns: minmax(0, 1fr);
}
header,
aside,
th[scope='row'] {
  overflow-wrap: anywhere;
}
table {
  border-collapse: collapse;
  width: 100%;
  font-size: 14px;
}
th,
td {
  text-align: left;
  font-weight: 400;
  padding: 7px 14px 7px 0;
  border-bottom: 1px solid var(--line);
  white-space: nowrap;
}
thead th {
  color: var(--quiet);
  font-size: 13px;
}
th[scope='row'] {
  white-space: normal;
}
.end {
  text-align: right;
  padding-right: 0;
}
.cell {
  padding: 1px 7px;
  border: 1px solid var(--line);
}
.cell.open {
  background: var(--l15);
  color: var(--l96);
  border-color: var(--l15);
}
.wide {
  overflow-x: auto;
}
ul {
  list-style: none;
  padding: 0;
  display: grid;
  gap: 6px;
  margin-top: 6px;
}
</style>
