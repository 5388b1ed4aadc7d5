<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { PICTURE_KEY, usePicture } from '~/composables/usePicture'
import { bringAhead, bringStations } from '~/start/bench'
import { tagOf } from '~~/core/critique/reading'
import { useBenchKeys } from '~/composables/useBenchKeys'
import { keptCorrection } from '~/utils/keptCorrection'
import type { ProbeReading } from '~/workers/protocol'

/** The bench of one piece: it stays while the stations are walked, and with it the picture and the worker. */
const route = useRoute()
const bench = useBenchStore(), wall = useWallStore(), session = useSessionStore()
const id = Number(route.params.id)
const loaded = ref(false), problem = ref('')
const picture = usePicture(id)
provide(PICTURE_KEY, picture)
const { help } = useBenchKeys()
useLeaveWarning(() => bench.saving !== 'saved')

watch(() => route.params.station, (station) => {
  if (route.name !== 'bench-id-station') return
  bench.station = planOf(station as typeof bench.station).station
  bench.points = undefined
  bench.lens = { name: 'plain' }
  bench.drop()
  bench.trying = null
  bench.reshaping = bench.silhouette = null
  if (loaded.value) void bench.visit(bench.station)
}, { immediate: true })

onMounted(async () => {
  try {
    wall.fit()
    wall.reference = 'off'
    await bench.open(id)
    loaded.value = true
    const left = bench.released ? null : keptCorrection(session.account!.id, id).since(undefined)
    if (left) bench.begin(left.input)
    useHead({ title: `${bench.submission!.title} · Critica` })
    void bench.visit(bench.station)
    bringAhead(bringStations)
  } catch (error) {
    problem.value = messageOf(error)
  }
})
const wheel = computed(() => bench.known.wheel)
usePieceMeasures(picture, loaded)
useIntervalFn(() => {
  const state = bench.submission?.measurement.state
  if (loaded.value && (state === 'queued' || state === 'measuring')) void bench.refreshSubmission()
}, 1200)

const tried = computed(() => bench.critique?.corrections.find(c => c.id === bench.trying) ?? null)
const plan = computed(() => planOf(bench.station))
const choices = computed(() => plan.value.lenses(bench.report, bench.standards))
const opened = ref<number | null>(null)
const transparent = computed(() => bench.report?.picture.transparent ?? 0)

/** The probe asks as the pointer moves, one question in flight. */
const probe = ref<ProbeReading | null>(null)
let asked: { x: number, y: number } | null = null
let asking = false
async function point(at: { x: number, y: number } | null) {
  asked = at
  if (!at) probe.value = null
  if (asking || !picture.ready.value) return
  asking = true
  while (asked) {
    const now: { x: number, y: number } = asked
    asked = null
    probe.value = await picture.client.call(w => w.probe(now.x, now.y, wheel.value)).catch(() => null)
  }
  asking = false
}
const toExercise = () => navigateTo(`/bench/${id}/verdict`, { replace: true })
</script>

<template>
  <p v-if="problem" role="alert" class="alone">{{ problem }} <NuxtLink to="/desk">Back to the desk</NuxtLink></p>
  <p v-else-if="!loaded" role="status" class="alone">Bringing the piece to the bench …</p>
  <div v-else class="bench">
    <BenchBar class="top" />
    <BenchRoute class="left" />
    <InTurn>
      <BenchWall class="middle" @point="point" @open="opened = $event">
        <InTurn><LensStrip class="lenses" :choices="choices" /></InTurn>
        <InTurn v-if="!bench.unseen"><CorrectionStrip v-model="opened" class="marks" /></InTurn>
        <div class="hanging">
          <InTurn><WallTools /></InTurn>
          <p v-if="transparent > 0.005" class="ground">{{ Math.round(100 * transparent) }} % of the file is transparent and left out of every number; its ground here is {{ wall.ground === 'grey' ? 'mid grey' : wall.ground }}.</p>
        </div>
      </BenchWall>
    </InTurn>
    <InTurn><ValueRule class="rule" :probe="probe" /></InTurn>
    <main class="right" :aria-label="plan.name">
      <template v-if="tried">
        <h2>Trying {{ tagOf(tried) }}</h2>
        <p class="words">{{ tried.what }}</p>
        <button class="word-link" @click="bench.trying = null">back to {{ plan.name }}</button>
        <LazyTrialPanel :key="tried.id" :correction="tried" />
      </template>
      <template v-else-if="bench.trying === 'all'">
        <h2>All trials together</h2>
        <button class="word-link" @click="bench.trying = null">back to {{ plan.name }}</button>
        <LazyAllTrials />
      </template>
      <h2 v-else>{{ plan.name }}</h2>
      <p v-if="bench.problem" role="alert" class="problem">{{ bench.problem }}</p>
      <template v-if="bench.trying !== null" />
      <InTurn v-else-if="bench.station === 'verdict'"><LazyVerdictPanel /></InTurn>
      <template v-else-if="bench.report">
        <InTurn :key="bench.station"><StationPanel @exercise="toExercise" /></InTurn>
      </template>
      <p v-else-if="bench.submission!.measurement.state === 'failed'" role="alert">
        {{ bench.submission!.measurement.reason }} <button class="word-link" @click="bench.measureAgain()">Try again</button>
      </p>
      <div v-else role="status" class="measuring"><p>Being measured …</p><i /><i /><i /></div>
    </main>
    <LazyConflictDialog v-if="bench.conflict" />
    <LazyKeyList v-if="help" v-model="help" />
  </div>
</template>

<style scoped>
.bench { height: 100vh; display: grid; grid-template: 44px minmax(0, 1fr) 84px / 132px minmax(0, 1fr) 332px; grid-template-areas: 'top top top' 'left middle right' 'left rule right'; color: var(--panel-ink); }
.top { grid-area: top; } .left { grid-area: left; } .middle { grid-area: middle; } .rule { grid-area: rule; }
.left { border-right: 1px solid var(--panel-line); }
.right { grid-area: right; overflow-y: auto; padding: 12px 18px 24px; border-left: 1px solid var(--panel-line); }
h2 { font-size: 23px; }
.lenses { position: absolute; left: 14px; top: 10px; }
.marks { position: absolute; right: 12px; top: 10px; }
.hanging { position: absolute; left: 0; bottom: 0; display: grid; justify-items: start; }
.ground { font-size: 12px; background: #303030; color: #f3f3f3; padding: 0 10px 3px; }
.measuring { display: grid; gap: 14px; padding-top: 10px; }
.measuring i { height: 44px; background: #474747; }
.problem { border: 1px solid #e5e5e5; padding: 6px 10px; margin: 8px 0; }
.alone { padding: 40px; }
@media (max-width: 900px) {
  .bench { grid-template: 44px 46px minmax(0, 1fr) 84px 36vh / 1fr; grid-template-areas: 'top' 'left' 'middle' 'rule' 'right'; }
  .left { border: 0; border-bottom: 1px solid var(--panel-line); }
  .right { border: 0; border-top: 1px solid var(--panel-line); }
}
</style>
