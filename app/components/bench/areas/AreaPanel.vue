<script setup lang="ts">
import { FOCUS_NAME, type MarkedArea } from '~~/shared/critique'
import { areaReadings } from '~~/core/critique/stations/readings'
import type { AreaMeasures } from '~~/core/critique/piece/measure'
import type { Reading } from '~~/core/critique/reading'
import { useBenchPicture } from '~/composables/usePicture'
import type { Area } from '~~/core/picture/area'

/**
 * The areas drawn on this piece, shared by all stations: and the reading of the one that is drawn or reshaped, live.
 */
const bench = useBenchStore(),
  sight = useSightStore(),
  pencil = usePencilStore(),
  edits = useEditsStore(),
  { drawFor, drawNamed } = useDrawFor()
const { ask, ready } = useBenchPicture()

const name = ref('')
const NAMES = ['the face', 'the figure', 'the sky', 'foreground', 'middle ground', 'background']

const live = shallowRef<AreaMeasures | null>(null)
const moving = computed<Area | null>(
  () =>
    sight.reshaping?.area
    ?? (pencil.tool === null || pencil.tool === 'rectangle' || pencil.tool === 'lasso' ? pencil.sketch : null)
)
watch(
  moving,
  latest(async (area: Area | null) => {
    if (area && !ready.value) return
    live.value = area && (await ask(w => w.area('this area', area)))
    performance.mark('area-read')
  })
)
const here = (name: string, measures: AreaMeasures): Reading[] =>
  areaReadings(name, measures, bench.standards).filter(r => r.station === bench.station)
const listed = computed(() => bench.critique.areas.filter(a => a.name !== FOCUS_NAME))
const liveReadings = computed(() =>
  live.value && (pencil.sketch || sight.reshaping)
    ? here(sight.reshaping?.name ?? (name.value?.trim() || 'this area'), live.value)
    : []
)

async function keep() {
  if (pencil.sketch && (await edits.addArea(name.value?.trim() || 'this area', pencil.sketch)) !== null) drop()
}
function drop() {
  pencil.drop()
  name.value = ''
}
async function reshape(area: MarkedArea) {
  if (sight.reshaping?.id !== area.id) sight.reshaping = area
  else {
    await edits.changeArea(area.id, { name: area.name, area: sight.reshaping.area })
    sight.reshaping = null
  }
}
async function rename(area: MarkedArea, to: string) {
  if (to.trim() && to.trim() !== area.name) await edits.changeArea(area.id, { name: to.trim(), area: area.area })
}
</script>

<template>
  <section aria-label="Areas" class="areas">
    <div v-if="pencil.sketch && !pencil.tool" class="sketch" data-test="sketch">
      <template v-for="r in liveReadings" :key="r.id"
        ><p class="words" aria-live="polite">{{ r.sentence }}</p>
        <FigureBar v-if="r.figure" :figure="r.figure"
      /></template>
      <v-text-field
        v-model="name"
        list="area-names"
        label="What is it? (the face, the boat)"
        autofocus
        @keydown.enter="keep"
        @keydown.esc="drop"
      />
      <datalist id="area-names"><option v-for="n in NAMES" :key="n" :value="n" /></datalist>
      <div class="actions">
        <v-btn size="small" @click="keep">Keep the area</v-btn><button class="word-link" @click="drop">drop it</button>
      </div>
    </div>
    <p v-else-if="liveReadings.length" class="words live" data-test="sketch" aria-live="polite">
      {{ liveReadings[0]!.sentence }}
    </p>
    <div v-for="a in listed" :key="a.id" class="named">
      <span>{{ a.name }}</span><AreaControls :area="a" @reshape="reshape(a)" @rename="rename(a, $event)" />
    </div>
    <p v-if="!bench.closed && !(pencil.sketch && !pencil.tool)" class="draw">
      <template v-if="pencil.tool"
        >{{
          pencil.tool === 'polygon'
            ? 'click corner by corner; the first again closes (Enter)'
            : pencil.tool === 'point'
              ? 'click on the picture'
              : 'drag over the picture'
        }}
        … <button class="word-link" @click="pencil.drop()">no</button></template
      >
      <template v-else>
        {{ bench.station === 'focus' ? 'where should the eye go?' : 'read an area:' }}
        <button class="word-link" title="a" @click="drawFor('lasso')">by hand</button>
        <button class="word-link" title="b" @click="drawFor('rectangle')">box</button>
        <button class="word-link" title="p" @click="drawFor('polygon')">corners</button>
        <template v-if="bench.station === 'focus'">
          <span>and, met before anything measured:</span>
          <button class="word-link" @click="drawNamed('the face')">a face here</button>
          <button class="word-link" @click="drawNamed('the figure')">a figure here</button>
        </template>
      </template>
    </p>
  </section>
</template>

<style scoped>
.sketch,
.live {
  padding: 12px 0;
  border-bottom: 1px solid var(--l40);
  display: grid;
  gap: 8px;
}
.words {
  color: var(--panel-ink);
}
.actions {
  display: flex;
  gap: 16px;
  align-items: baseline;
}
.draw {
  margin-top: 12px;
  font-size: 13px;
  color: var(--panel-quiet);
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  align-items: baseline;
}
.named {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  align-items: baseline;
  padding: 8px 0;
  border-bottom: 1px solid var(--l40);
  color: var(--panel-quiet);
}
.named span {
  flex: 1;
  color: var(--panel-ink);
}
</style>
