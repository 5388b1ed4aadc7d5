<script setup lang="ts">
import { bringBench } from '~/start/bench'

// One page instance a piece: walking the stations keeps the picture and the worker.
definePageMeta({
  layout: 'bench',
  whose: ['instructor', 'assistant'],
  key: route => `bench-${String(route.params.id)}`
})
const BenchScreen = defineAsyncComponent(bringBench)
</script>

<!-- Leaving the desk is one task, setting up the bench another. -->
<template>
  <div>
    <InTurn><BenchScreen /></InTurn>
  </div>
</template>
