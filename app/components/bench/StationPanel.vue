<script setup lang="ts">
import { isMeasured } from '~~/core/measure/report'

/** What one station has to say: its instrument, the areas, its readings, each in its turn; an instrument is fetched when it is first gone to. */
const emit = defineEmits<{ exercise: [] }>()
const bench = useBenchStore()

/** Where the station's own instrument comes first, the areas stand below it. */
const below = computed(() => bench.station === 'light' || bench.station === 'harmony')
const here = bench.station
/** Areas have theirs beside them. Before the first look is taken nothing measured is said. */
const readings = computed(() => bench.readings.filter(r => r.station === here && r.on !== 'area'))
const harmony = computed(() => (bench.report && isMeasured(bench.report.harmony) ? bench.report.harmony : null))
const toExercise = () => emit('exercise')
</script>

<template>
  <LazyFirstLookPanel v-if="here === 'first-look'" />
  <p v-if="here === 'focus' && bench.submission!.about" class="about">About: {{ bench.submission!.about }}.</p>
  <LazyHarmonyInstrument v-if="here === 'harmony' && harmony" :harmony="harmony" :wheel="bench.report!.wheel">
    <InTurn v-for="r in readings" :key="r.key"><ReadingItem :reading="r" @exercise="toExercise" /></InTurn>
  </LazyHarmonyInstrument>
  <LazyTemperaturePanel v-if="here === 'temperature'" />
  <LazyLightPanel v-if="here === 'light'" />
  <InTurn><AreaPanel v-if="here !== 'first-look' && !below" @exercise="toExercise" /></InTurn>
  <template v-if="here !== 'harmony'">
    <InTurn v-for="r in readings" :key="r.key"><ReadingItem :reading="r" @exercise="toExercise" /></InTurn>
  </template>
  <InTurn>
    <AreaPanel v-if="below" @exercise="toExercise" />
    <LazyValuesPanel v-if="here === 'values'" />
    <LazyFocusPanel v-if="here === 'focus'" />
    <LazyEdgesPanel v-if="here === 'edges'" />
  </InTurn>
</template>

<style scoped>
.about { font-family: var(--serif); font-style: italic; font-size: 15px; padding: 8px 0 0; color: var(--panel-quiet); }
</style>
