<script setup lang="ts">
import { FOCUS_NAME, type MarkedArea } from '~~/shared/critique'
import { areaReadings, type PieceReading } from '~~/core/critique/piece/readings'
import type { AreaMeasures } from '~~/core/critique/piece/measure'
import type { Reading } from '~~/core/critique/reading'
import { useBenchPicture } from '~/composables/usePicture'
import { drawFor } from '~/composables/draw'
import type { Area } from '~~/core/picture/area'

/** The areas drawn on this piece, shared by all stations: each read in the station's own terms, and live while one is drawn or reshaped. */
const emit = defineEmits<{ exercise: [] }>()
const bench = useBenchStore()
const { client, ready } = useBenchPicture()

const name = ref('')
const NAMES = ['the face', 'the figure', 'the sky', 'foreground', 'middle ground', 'background']

/** One question in flight for the area under the hand; while it is answered only the newest shape waits. */
const live = shallowRef<AreaMeasures | null>(null)
let busy = false
const moving = computed<Area | null>(() => bench.reshaping?.area ?? (bench.tool === null || bench.tool === 'rectangle' || bench.tool === 'lasso' ? bench.sketch : null))
watch(moving, async () => {
  if (busy || !ready.value) return
  busy = true
  while (moving.value) {
    const asked = moving.value
    live.value = await client.call(w => w.area('this area', asked)).catch(() => null)
    performance.mark('area-read')
    if (asked === moving.value) break
  }
  if (!moving.value) live.value = null
  busy = false
})
const here = (name: string, measures: AreaMeasures): Reading[] => areaReadings({ name }, measures, bench.standards).filter(r => r.station === bench.station)
/** A reading as it is while its area is under the hand. */
const underHand = ({ id, name, area }: MarkedArea): PieceReading[] => (live.value ? here(name, live.value).map(r => ({ ...r, key: `${r.id}:${id}`, on: 'area' as const, area })) : [])
const listed = computed(() => bench.areas.filter(a => a.name !== FOCUS_NAME).map(a => ({
  ...a, readings: a.id === bench.reshaping?.id ? underHand(a) : bench.readings.filter(r => r.on === 'area' && r.station === bench.station && r.key === `${r.id}:${a.id}`)
})))
const liveReadings = computed(() => (bench.sketch && live.value ? here(name.value?.trim() || 'this area', live.value) : []))

async function keep() {
  if (bench.sketch && await bench.addArea(name.value?.trim() || 'this area', bench.sketch) !== null) drop()
}
function drop() {
  bench.drop()
  name.value = ''
}
async function reshape(area: MarkedArea) {
  if (bench.reshaping?.id !== area.id) bench.reshaping = area
  else {
    await bench.changeArea(area.id, { name: area.name, area: bench.reshaping.area })
    bench.reshaping = null
  }
}
async function rename(area: MarkedArea, to: string) {
  if (to.trim() && to.trim() !== area.name) await bench.changeArea(area.id, { name: to.trim(), area: area.area })
}
</script>

<template>
  <section aria-label="Areas" class="areas">
    <div v-if="bench.sketch && !bench.tool" class="sketch" data-test="sketch">
      <template v-for="r in liveReadings" :key="r.id"><p class="words" aria-live="polite">{{ r.sentence }}</p><FigureBar v-if="r.figure" :figure="r.figure" /></template>
      <InTurn><v-text-field v-model="name" list="area-names" label="What is it? (the face, the boat)" autofocus @keydown.enter="keep" @keydown.esc="drop" /></InTurn>
      <datalist id="area-names"><option v-for="n in NAMES" :key="n" :value="n" /></datalist>
      <div class="actions"><InTurn><v-btn size="small" @click="keep">Keep the area</v-btn></InTurn><button class="word-link" @click="drop">drop it</button></div>
    </div>
    <p v-else-if="liveReadings.length" class="words live" data-test="sketch" aria-live="polite">{{ liveReadings[0]!.sentence }}</p>
    <template v-for="a in listed" :key="a.id">
      <div v-if="a.readings.length === 0" class="named"><span>{{ a.name }}</span><AreaControls :area="a" @reshape="reshape(a)" @rename="rename(a, $event)" /></div>
      <ReadingItem v-for="(r, i) in a.readings" :key="r.id" :reading="r" @exercise="emit('exercise')">
        <AreaControls v-if="i === 0" :area="a" @reshape="reshape(a)" @rename="rename(a, $event)" />
      </ReadingItem>
    </template>
    <p v-if="!bench.released && !(bench.sketch && !bench.tool)" class="draw">
      <template v-if="bench.tool">{{ bench.tool === 'polygon' ? 'click corner by corner; the first again closes (Enter)' : bench.tool === 'point' ? 'click on the picture' : 'drag over the picture' }} … <button class="word-link" @click="bench.drop()">no</button></template>
      <template v-else>
        {{ bench.station === 'focus' ? 'where should the eye go?' : 'read an area:' }}
        <button class="word-link" title="a" @click="drawFor(bench, 'lasso')">by hand</button> <button class="word-link" title="b" @click="drawFor(bench, 'rectangle')">box</button> <button class="word-link" title="p" @click="drawFor(bench, 'polygon')">corners</button>
      </template>
    </p>
  </section>
</template>

<style scoped>
.sketch, .live { padding: 12px 0; border-bottom: 1px solid #5e5e5e; display: grid; gap: 8px; }
.words { color: var(--panel-ink); }
.actions { display: flex; gap: 16px; align-items: baseline; }
.draw { margin-top: 12px; font-size: 13px; color: var(--panel-quiet); display: flex; flex-wrap: wrap; gap: 4px 12px; align-items: baseline; }
.named { display: flex; flex-wrap: wrap; gap: 4px 14px; align-items: baseline; padding: 8px 0; border-bottom: 1px solid #5e5e5e; color: var(--panel-quiet); }
.named span { flex: 1; color: var(--panel-ink); }
</style>
