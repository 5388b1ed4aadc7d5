<script setup lang="ts">
import { rowOf } from '~~/core/critique/stations/table'

/** What I would say first: at most three faults, each with why it is there and the way to its station. */
const bench = useBenchStore()
const first = computed(() => bench.readings.filter(r => r.first).sort((p, q) => p.first!.rank - q.first!.rank))
const carries = computed(() => bench.readings.find(r => r.id === 'picture.carries') ?? null)
</script>

<template>
  <section v-if="first.length || carries" class="first" aria-label="What I would say first">
    <h3>What I would say first</h3>
    <ol v-if="first.length">
      <li v-for="r in first" :key="r.key">
        <NuxtLink :to="`/bench/${bench.piece.id}/${r.station}`" replace class="words">{{ r.sentence }}</NuxtLink>
        <p>{{ rowOf(r.station).name }}, {{ r.first!.because }}.</p>
      </li>
    </ol>
    <p v-else class="words">{{ carries!.sentence }}</p>
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
.words {
  text-decoration: none;
}
.words:hover {
  text-decoration: underline;
}
</style>
