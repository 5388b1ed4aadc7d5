<script setup lang="ts">
import { partsOf } from './panels'

/** What one station has to say, part by part, each in a task of its own. */
const emit = defineEmits<{ exercise: [] }>()
const bench = useBenchStore()

const here = bench.station
const sight = useSightStore()
/** An area that is under the hand is read live beside it. */
const readings = computed(() =>
  bench.readings.filter(
    r => r.station === here && !(sight.reshaping && r.on === 'area' && r.key.endsWith(`:${sight.reshaping.id}`))
  )
)
const toExercise = () => emit('exercise')
</script>

<template>
  <InTurn>
    <template v-for="(part, i) in partsOf(here)" :key="i">
      <ReadingList v-if="part === 'readings'" :readings="readings" @exercise="toExercise" />
      <AreaPanel v-else-if="part === 'areas'" />
      <component :is="part" v-else />
    </template>
  </InTurn>
</template>
