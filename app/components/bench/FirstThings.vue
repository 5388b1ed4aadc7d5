<script setup lang="ts">
import { isMarkingOf, markingOf } from '~~/core/critique/marking'
import type { PieceReading } from '~~/core/critique/stations/piece'
import { rowOf, tagOf } from '~~/core/critique/stations/table'

/** What I would say first: at most three faults, each with why it is there, to take as a correction or to leave. */
const bench = useBenchStore(),
  edits = useEditsStore()
const markedAs = (reading: PieceReading) => bench.critique.corrections.find(c => isMarkingOf(c, reading))
const first = computed(() =>
  bench.readings
    .filter(r => r.first)
    .sort((p, q) => p.first!.rank - q.first!.rank)
    .map(reading => ({ reading, marked: markedAs(reading) }))
    // At the verdict what is marked stands in its list.
    .filter(({ marked }) => !marked || bench.station !== 'verdict')
)
const open = computed(() => (bench.closed ? [] : first.value.filter(({ marked }) => !marked)))
const carries = computed(() => bench.readings.find(r => r.id === 'picture.carries') ?? null)
const take = (reading: PieceReading) => edits.addCorrection(markingOf(reading, bench.piece))
async function takeAll() {
  for (const { reading } of [...open.value]) await take(reading)
}
</script>

<template>
  <section v-if="first.length || carries" class="first" aria-label="What I would say first">
    <h3>What I would say first</h3>
    <ol v-if="first.length">
      <li v-for="{ reading: r, marked } in first" :key="r.key">
        <NuxtLink :to="`/bench/${bench.piece.id}/${r.station}`" replace class="words">{{ r.sentence }}</NuxtLink>
        <p>
          {{ rowOf(r.station).name }}, {{ r.first!.because }}.
          <b v-if="marked">marked {{ tagOf(marked) }}</b>
          <button v-else-if="!bench.closed" class="word-link" @click="take(r)">mark it</button>
        </p>
      </li>
    </ol>
    <p v-else class="words">{{ carries!.sentence }}</p>
    <button v-if="open.length > 1" class="word-link all" @click="takeAll">
      mark {{ open.length === first.length ? 'all' : 'the other' }} {{ countWord(open.length) }}
    </button>
  </section>
</template>

<style scoped>
.first {
  padding: 12px 0;
  border-bottom: 1px solid var(--panel-line);
  width: 100%;
}
h3 {
  font-family: var(--sans);
  font-size: 13px;
  font-weight: 600;
}
ol {
  margin: 0;
  padding: 4px 0 0 20px;
  display: grid;
  gap: 8px;
}
li p {
  font-size: 13px;
  color: var(--panel-quiet);
}
b {
  color: var(--panel-ink);
}
.all {
  margin: 8px 0 0 20px;
  font-size: 13px;
}
.words {
  text-decoration: none;
}
.words:hover {
  text-decoration: underline;
}
</style>
