<script setup lang="ts">
import { partsOf } from './panels'

/** What one station has to say, part by part, each in a task of its own. */
const emit = defineEmits<{ exercise: [] }>()
const bench = useBenchStore()

const here = bench.station
/** Areas have theirs beside them. Before the first look is taken nothing measured is said. */
const readings = computed(() => bench.readings.filter(r => r.station === here && r.on !== 'area'))
const toExercise = () => emit('exercise')
</script>

<template>
  <OwnTask v-for="(part, i) in partsOf(here)" :key="i">
    <template v-if="part === 'readings'">
      <OwnTask v-for="r in readings" :key="r.key"><ReadingItem :reading="r" @exercise="toExercise" /></OwnTask>
    </template>
    <AreaPanel v-else-if="part === 'areas'" @exercise="toExercise" />
    <component :is="part" v-else />
  </OwnTask>
</template>
