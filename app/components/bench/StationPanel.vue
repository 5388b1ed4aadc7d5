<script setup lang="ts">
import { isMeasured } from '~~/core/measure/report'

/**
 * What one station has to say: its instrument, the areas, its readings. Set up a few readings a turn, so that going from
 * station to station never holds the page; each instrument is fetched when it is first gone to.
 */
const emit = defineEmits<{ exercise: [] }>()
const bench = useBenchStore()
const { turn, begin } = useTurns()
onMounted(() => begin(20))

/** Where the station's own instrument comes first, the areas stand below it. */
const below = computed(() => bench.station === 'light' || bench.station === 'harmony')
const A_TURN = 2
const here = bench.station
const readings = computed(() => bench.readings.filter(r => r.station === here))
const shown = computed(() => readings.value.slice(0, A_TURN * Math.max(0, turn.value - 1)))
const all = computed(() => turn.value > 1 && shown.value.length === readings.value.length)
const harmony = computed(() => (bench.report && isMeasured(bench.report.harmony) ? bench.report.harmony : null))
const toExercise = () => emit('exercise')
</script>

<template>
  <LazyFirstLookPanel v-if="here === 'first-look'" />
  <p v-if="here === 'focus' && bench.submission!.about" class="about">About: {{ bench.submission!.about }}.</p>
  <LazyHarmonyInstrument v-if="here === 'harmony' && harmony" :harmony="harmony" :wheel="bench.report!.wheel">
    <ReadingItem v-for="r in shown" :key="r.id" :reading="r" @exercise="toExercise" />
  </LazyHarmonyInstrument>
  <LazyTemperaturePanel v-if="here === 'temperature'" />
  <LazyLightPanel v-if="here === 'light'" />
  <AreaPanel v-if="turn > 0 && here !== 'first-look' && !below" @exercise="toExercise" />
  <template v-if="here !== 'harmony'"><ReadingItem v-for="r in shown" :key="r.id" :reading="r" :area="here === 'focus' ? bench.focusArea?.area : null" @exercise="toExercise" /></template>
  <AreaPanel v-if="all && below" @exercise="toExercise" />
  <template v-if="all">
    <LazyValuesPanel v-if="here === 'values'" @exercise="toExercise" />
    <LazyFocusPanel v-if="here === 'focus'" />
    <LazyEdgesPanel v-if="here === 'edges'" />
  </template>
</template>

<style scoped>
.about { font-family: var(--serif); font-style: italic; font-size: 15px; padding: 8px 0 0; color: var(--panel-quiet); }
</style>
