<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { PICTURE_KEY, usePicture } from '~/composables/usePicture'
import { bringAhead, bringStations } from '~/start/bench'
import { rowOf } from '~~/core/critique/stations/table'
import type { Point } from '~~/shared/notes'
import { useBenchKeys } from '~/composables/useBenchKeys'
import { keptCorrection } from '~/utils/keptCorrection'

/** The bench of one piece: it stays while the stations are walked, and with it the picture and the worker. */
const route = useRoute()
const bench = useBenchStore(),
  sight = useSightStore(),
  pencil = usePencilStore(),
  inHand = useInHandStore(),
  edits = useEditsStore(),
  wall = useWallStore(),
  sitting = useSittingStore(),
  session = useSessionStore()
const id = Number(route.params.id)
const loaded = ref(false),
  problem = ref('')
const picture = usePicture(id)
provide(PICTURE_KEY, picture)
const { help, keys } = useBenchKeys(loaded)
useLeaveWarning(() => edits.saving !== 'saved')

watch(
  () => route.params.station,
  station => {
    if (route.name !== 'bench-id-station') return
    bench.station = rowOf(station as typeof bench.station).station
    sight.clear()
    inHand.reading = null
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
    if (bench.piece.sitting) await sitting.open(bench.piece.sitting)
    sight.clear()
    sight.trials = []
    pencil.drop()
    inHand.correction = inHand.sheet = null
    edits.begin()
    loaded.value = true
    const left = bench.closed ? null : keptCorrection(session.person.id, id).since(undefined)
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

const row = computed(() => rowOf(bench.station))
const choices = computed(() => row.value.lenses(bench.report, bench.standards))

const { probe, point } = useProbe(picture)
const pointing = ref<Point | null>(null)
function pointed(at: Point | null) {
  pointing.value = at
  void point(at)
}
</script>

<template>
  <p v-if="problem" role="alert" class="alone">{{ problem }} <NuxtLink to="/desk">Back to the desk</NuxtLink></p>
  <p v-else-if="!loaded" role="status" class="alone">Bringing the piece to the bench …</p>
  <div v-else class="bench">
    <InTurn>
      <SittingBar v-if="bench.piece.sitting" class="top" />
      <BenchBar v-else class="top" />
      <BenchRoute class="left" />
      <BenchWall class="middle" @point="pointed" @open="inHand.look($event)"
        ><InTurn>
          <LensStrip class="lenses" :choices="choices" />
          <CorrectionStrip v-if="!bench.unseen" class="marks" />
          <div class="hanging">
            <WallTools />
            <WallNotes /></div
        ></InTurn>
      </BenchWall>

      <ValueRule class="rule" :probe="probe" />
      <BenchSide class="right" />
    </InTurn>
    <LazyRoomFeed v-if="bench.piece.sitting" :sitting-id="bench.piece.sitting" :pointing="pointing" />
    <LazyConflictDialog v-if="edits.conflict" />
    <LazyKeyList v-if="help" v-model="help" :keys="keys" />
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
