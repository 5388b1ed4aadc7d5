<script setup lang="ts">
import { rowOf, tagOf } from '~~/core/critique/stations/table'
import { useBenchPicture } from '~/composables/usePicture'
import { worksUnmeasured } from './stations/panels'

/**
 * Beside the picture: the station's readings and instruments, or the correction that is looked at, written or tried.
 */
const bench = useBenchStore(),
  sight = useSightStore(),
  pencil = usePencilStore(),
  inHand = useInHandStore(),
  edits = useEditsStore(),
  sitting = useSittingStore()
const { failed } = useBenchPicture()
const row = computed(() => rowOf(bench.station))
const of = (id: number | 'all' | null) => bench.critique.corrections.find(c => c.id === id) ?? null
const tried = computed(() => of(sight.trying)),
  looked = computed(() => of(inHand.sheet))
/** What a piece is made of is settled at first look; later it is only said. */
const photographed = computed(() =>
  bench.station === 'first-look' && bench.piece.state !== 'released' && bench.piece.may.includes('draft')
    ? `/photograph/${bench.piece.id}`
    : undefined
)
const toExercise = () => navigateTo(`/bench/${bench.piece.id}/verdict`, { replace: true })
</script>

<template>
  <main class="side" :aria-label="row.name">
    <template v-if="tried">
      <h2>Trying {{ tagOf(tried) }}</h2>
      <p class="words">{{ tried.what }}</p>
      <button class="word-link" @click="sight.trying = null">back to {{ row.name }}</button>
      <LazyTrialPanel :key="tried.id" :correction="tried" />
    </template>
    <template v-else-if="sight.trying === 'all'">
      <h2>All trials together</h2>
      <button class="word-link" @click="sight.trying = null">back to {{ row.name }}</button>
      <LazyAllTrials />
    </template>
    <h2 v-else>{{ row.name }}</h2>
    <p v-if="bench.piece.question" class="asked question">“{{ bench.piece.question }}”</p>
    <PhotoSaid :photo="bench.piece.photo" :change="photographed" />
    <LazySaidField
      v-if="bench.piece.sitting && sitting.piece?.id === bench.piece.id"
      :sitting-id="bench.piece.sitting"
      :piece="sitting.piece"
      label="Said of it"
      class="said"
    />
    <p v-if="edits.problem" role="alert" class="problem">{{ edits.problem }}</p>
    <p v-if="failed" role="alert" class="problem">Something could not be measured: {{ failed }}</p>
    <div v-if="inHand.correction" v-show="!pencil.tool" class="writing">
      <CorrectionForm :key="inHand.begun" :model-value="inHand.correction" @done="inHand.correction = null" />
    </div>
    <CorrectionSheet v-else-if="looked && sight.trying === null" :key="looked.id" :correction="looked" />
    <template v-if="sight.trying !== null" />
    <StationPanel
      v-else-if="bench.report || worksUnmeasured(bench.station)"
      :key="bench.station"
      @exercise="toExercise"
    />
    <p v-else-if="bench.piece.measurement.state === 'failed'" role="alert">
      {{ bench.piece.measurement.reason }} <button class="word-link" @click="edits.measureAgain()">Try again</button>
    </p>
    <div v-else role="status" class="measuring">
      <p>Being measured …</p>
      <i /><i /><i />
    </div>
  </main>
</template>

<style scoped>
.side {
  overflow-y: auto;
  padding: 12px 18px 24px;
  border-left: 1px solid var(--panel-line);
}
h2 {
  font-size: 23px;
}
.writing {
  background: var(--l30);
  margin: 10px -18px 0;
  padding: 12px 18px;
}
.asked {
  display: none;
  color: var(--panel-quiet);
}
.said {
  margin: 8px 0;
}
.measuring {
  display: grid;
  gap: 14px;
  padding-top: 10px;
}
.measuring i {
  height: 44px;
  background: var(--l30);
}
.problem {
  border: 1px solid var(--l91);
  padding: 6px 10px;
  margin: 8px 0;
}
@media (max-width: 900px) {
  .asked {
    display: block;
  }
  .side {
    border: 0;
    border-top: 1px solid var(--panel-line);
  }
}
</style>
