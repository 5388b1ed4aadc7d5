<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { PICTURE_KEY, usePicture } from '~/composables/usePicture'
import { bringAhead, bringStations } from '~/start/bench'
import { rowOf, tagOf } from '~~/core/critique/stations/table'
import { useBenchKeys } from '~/composables/useBenchKeys'
import { keptCorrection } from '~/utils/keptCorrection'
import { worksUnmeasured } from '~/components/bench/stations/panels'

/** The bench of one piece: it stays while the stations are walked, and with it the picture and the worker. */
const route = useRoute()
const bench = useBenchStore(),
  sight = useSightStore(),
  pencil = usePencilStore(),
  inHand = useInHandStore(),
  edits = useEditsStore(),
  wall = useWallStore(),
  session = useSessionStore()
const id = Number(route.params.id)
const loaded = ref(false),
  problem = ref('')
const picture = usePicture(id)
provide(PICTURE_KEY, picture)
const { help } = useBenchKeys(loaded)
useLeaveWarning(() => edits.saving !== 'saved')

watch(
  () => route.params.station,
  station => {
    if (route.name !== 'bench-id-station') return
    bench.station = rowOf(station as typeof bench.station).station
    sight.clear()
    pencil.drop()
    if (loaded.value) void edits.visit(bench.station)
  },
  { immediate: true }
)

onMounted(async () => {
  try {
    wall.fit()
    wall.reference = 'off'
    await bench.open(id)
    sight.clear()
    sight.trials = []
    pencil.drop()
    inHand.correction = null
    edits.begin()
    loaded.value = true
    const left = bench.released ? null : keptCorrection(session.person.id, id).since(undefined)
    if (left) inHand.begin(left.input)
    useHead({ title: `${bench.piece.title} · Critica` })
    void edits.visit(bench.station)
    bringAhead(bringStations)
  } catch (error) {
    problem.value = messageOf(error)
  }
})
usePieceMeasures(picture, loaded)
useIntervalFn(() => {
  if (!loaded.value) return
  const { state } = bench.piece.measurement
  if (state === 'queued' || state === 'measuring') void bench.refreshPiece()
}, 1200)

const tried = computed(() => bench.critique.corrections.find(c => c.id === sight.trying) ?? null)
const row = computed(() => rowOf(bench.station))
const choices = computed(() => row.value.lenses(bench.report, bench.standards))
const opened = ref<number | null>(null)

const { probe, point } = useProbe(picture)
const toExercise = () => navigateTo(`/bench/${id}/verdict`, { replace: true })
</script>

<template>
  <p v-if="problem" role="alert" class="alone">{{ problem }} <NuxtLink to="/desk">Back to the desk</NuxtLink></p>
  <p v-else-if="!loaded" role="status" class="alone">Bringing the piece to the bench …</p>
  <div v-else class="bench">
    <BenchBar class="top" />
    <BenchRoute class="left" />
    <OwnTask>
      <BenchWall class="middle" @point="point" @open="opened = $event">
        <OwnTask><LensStrip class="lenses" :choices="choices" /></OwnTask>
        <OwnTask v-if="!bench.unseen"><CorrectionStrip v-model="opened" class="marks" /></OwnTask>
        <div class="hanging">
          <OwnTask><WallTools /></OwnTask>
          <WallNotes />
        </div>
      </BenchWall>
    </OwnTask>
    <OwnTask><ValueRule class="rule" :probe="probe" /></OwnTask>
    <main class="right" :aria-label="row.name">
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
      <p v-if="edits.problem" role="alert" class="problem">{{ edits.problem }}</p>
      <template v-if="sight.trying !== null" />
      <OwnTask v-else-if="bench.report || worksUnmeasured(bench.station)" :key="bench.station"
        ><StationPanel @exercise="toExercise"
      /></OwnTask>
      <p v-else-if="bench.piece.measurement.state === 'failed'" role="alert">
        {{ bench.piece.measurement.reason }} <button class="word-link" @click="edits.measureAgain()">Try again</button>
      </p>
      <div v-else role="status" class="measuring">
        <p>Being measured …</p>
        <i /><i /><i />
      </div>
    </main>
    <LazyConflictDialog v-if="edits.conflict" />
    <LazyKeyList v-if="help" v-model="help" />
  </div>
</template>

<style scoped>
.bench {
  height: 100vh;
  display: grid;
  grid-template: 44px minmax(0, 1fr) 84px / 132px minmax(0, 1fr) 332px;
  grid-template-areas: 'top top top' 'left middle right' 'left rule right';
  color: var(--panel-ink);
}
.top {
  grid-area: top;
}
.left {
  grid-area: left;
}
.middle {
  grid-area: middle;
}
.rule {
  grid-area: rule;
}
.left {
  border-right: 1px solid var(--panel-line);
}
.right {
  grid-area: right;
  overflow-y: auto;
  padding: 12px 18px 24px;
  border-left: 1px solid var(--panel-line);
}
h2 {
  font-size: 23px;
}
.lenses {
  position: absolute;
  left: 14px;
  top: 10px;
}
.marks {
  position: absolute;
  right: 12px;
  top: 10px;
}
.hanging {
  position: absolute;
  left: 0;
  bottom: 0;
  display: grid;
  justify-items: start;
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
.alone {
  padding: 40px;
}
@media (max-width: 900px) {
  .bench {
    grid-template: 44px 46px minmax(0, 1fr) 84px 36vh / 1fr;
    grid-template-areas: 'top' 'left' 'middle' 'rule' 'right';
  }
  .left {
    border: 0;
    border-bottom: 1px solid var(--panel-line);
  }
  .right {
    border: 0;
    border-top: 1px solid var(--panel-line);
  }
}
</style>
