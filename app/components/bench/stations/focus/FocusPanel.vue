<script setup lang="ts">
import { causeWords } from '~~/core/critique/stations/focus/attention'
import { placeWords } from '~~/core/critique/stations/places'
import { capital } from '~~/core/critique/words'
import { isMeasured } from '~~/core/measure/report'
import { useAsked } from '~/composables/usePicture'

/**
 * The focus station's instrument: where the eye should go, what competes with it, whites and vivid areas, the stops of
 * a route.
 */
const bench = useBenchStore(),
  sight = useSightStore(),
  pencil = usePencilStore(),
  edits = useEditsStore()

const focus = computed(() => (bench.report && isMeasured(bench.report.focus) ? bench.report.focus : null))
/** Peaks at one place are one rival: its strongest says why. */
const rivals = computed(() =>
  (focus.value?.competitors ?? []).filter((p, i, all) => all.findIndex(q => placeWords(q) === placeWords(p)) === i)
)
/** Whites and vivid places in the order they pull the eye, whatever their size. */
const spots = computed(() =>
  [...(focus.value?.whites ?? []), ...(focus.value?.vivid ?? [])].map(({ x, y }) => ({ x, y }))
)
const pulls = useAsked(() => {
  const places = spots.value
  return places.length ? w => w.pulls(places) : null
})
function byPull<T>(list: readonly T[], from: number): T[] {
  const pull = (i: number): number => pulls.value?.[from + i] ?? 0
  return list
    .map((spot, i) => ({ spot, at: pull(i) }))
    .sort((p, q) => q.at - p.at)
    .map(({ spot }) => spot)
}
const whites = computed(() => byPull(focus.value?.whites ?? [], 0)),
  vivid = computed(() => byPull(focus.value?.vivid ?? [], focus.value?.whites.length ?? 0))
const point = (list: readonly { x: number; y: number }[]) => {
  sight.points = list.map((p, i) => ({ x: p.x, y: p.y, label: String(i + 1) }))
}

async function addStop() {
  const area = await pencil.drawArea('rectangle')
  if (area) await edits.note(({ stops }) => ({ stops: [...stops, area] }))
}
/** How far a place lies from the focus, in the picture's own terms. */
function distance(p: { x: number; y: number }): string {
  const area = bench.focusArea?.area
  if (!area) return ''
  const xs = area.kind === 'rectangle' ? [area.x, area.x + area.w] : area.points.map(q => q[0]),
    ys = area.kind === 'rectangle' ? [area.y, area.y + area.h] : area.points.map(q => q[1])
  const far = Math.hypot((xs[0]! + xs.at(-1)!) / 2 - p.x, (ys[0]! + ys.at(-1)!) / 2 - p.y)
  return far < 0.2 ? ', beside the focus' : far > 0.5 ? ', far from the focus' : ''
}
</script>

<template>
  <section class="focus" aria-label="Intended focus">
    <p v-if="bench.focusArea && !bench.closed">
      <button class="word-link" @click="edits.removeArea(bench.focusArea)">no focus</button>
    </p>
    <FacesFound />
    <div v-if="rivals.length" class="list">
      <h3>What competes with it <button class="word-link" @click="point(rivals)">show where</button></h3>
      <ol>
        <li v-for="(p, i) in rivals" :key="i">
          {{ capital(placeWords(p)) }}: {{ causeWords(p) }}, {{ Math.round(100 * p.strength) }} % of the first pull
        </li>
      </ol>
    </div>
    <div v-if="whites.length" class="list">
      <h3>Whites, by pull <button class="word-link" @click="point(whites)">show where</button></h3>
      <ol>
        <li v-for="(p, i) in whites.slice(0, 4)" :key="i">
          {{ placeWords(p) }}, {{ (100 * p.share).toFixed(1) }} %{{ distance(p) }}
        </li>
      </ol>
    </div>
    <div v-if="vivid.length" class="list">
      <h3>Strongest colour, by pull <button class="word-link" @click="point(vivid)">show where</button></h3>
      <ol>
        <li v-for="(p, i) in vivid.slice(0, 4)" :key="i">
          {{ placeWords(p) }}, {{ (100 * p.share).toFixed(1) }} %{{ distance(p) }}
        </li>
      </ol>
    </div>
    <div class="list">
      <h3>Stops of the route</h3>
      <p v-if="!bench.notes.stops.length">For a page of panels, or several incidents: mark the stops in their order.</p>
      <p class="actions">
        <button v-if="!bench.closed" class="word-link" @click="addStop">
          add stop {{ bench.notes.stops.length + 1 }}
        </button>
        <button
          v-if="bench.notes.stops.length && !bench.closed"
          class="word-link"
          @click="edits.note(({ stops }) => ({ stops: stops.slice(0, -1) }))"
        >
          take the last away
        </button>
      </p>
    </div>
  </section>
</template>

<style scoped>
.focus {
  color: var(--panel-quiet);
}
.list {
  padding: 8px 0;
  border-bottom: 1px solid var(--l40);
  font-size: 13px;
}
.list h3 {
  font-family: var(--sans);
  font-size: 13px;
  font-weight: 600;
  display: flex;
  justify-content: space-between;
  color: var(--panel-ink);
}
ol {
  padding-left: 18px;
}
.actions {
  display: flex;
  gap: 16px;
}
</style>
