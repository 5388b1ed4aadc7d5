<script setup lang="ts">
import type { PieceReading } from '~~/core/critique/stations/piece'

/** A station's sentences: what is to fix, what to look at again, what works, and what the critic set aside. */
const props = defineProps<{ readings: readonly PieceReading[] }>()
const emit = defineEmits<{ exercise: [] }>()
const bench = useBenchStore()

const HEADINGS = { fix: 'to fix', look: 'look again', works: 'works', aside: 'set aside' } as const
const groups = computed(() =>
  (Object.keys(HEADINGS) as (keyof typeof HEADINGS)[])
    .map(kind => ({
      kind,
      readings: props.readings
        .filter(r => (bench.judgementOf(r.key) === 'dismissed' ? 'aside' : bench.verdictOf(r)) === kind)
        .sort((p, q) => (p.first?.rank ?? 9) - (q.first?.rank ?? 9))
    }))
    .filter(group => group.readings.length > 0)
)
</script>

<template>
  <section v-for="group in groups" :key="group.kind" :aria-label="HEADINGS[group.kind]" class="group">
    <h3>{{ HEADINGS[group.kind] }}</h3>
    <ReadingItem v-for="r in group.readings" :key="r.key" :reading="r" @exercise="emit('exercise')" />
  </section>
</template>

<style scoped>
.group {
  padding-top: 12px;
}
h3 {
  font-family: var(--sans);
  font-size: 12px;
  font-weight: 400;
  color: var(--panel-quiet);
  padding-bottom: 2px;
}
</style>
