<script setup lang="ts">
import { FOCUS_NAME } from '~~/shared/critique'
import { useBenchPicture } from '~/composables/usePicture'
import { DEFAULT_STANDARDS } from '~~/core/critique/standards'
import { separationReading } from '~~/core/critique/readings'
import { isMeasured, type Measured, type Separation } from '~~/core/measure/report'
import type { Area } from '~~/core/picture/area'

/** Areas of the picture, each against what is around it; and the one being drawn, read as the hand moves. */
const emit = defineEmits<{ exercise: [] }>()
const bench = useBenchStore()
const { client, ready } = useBenchPicture()

const name = ref('')
const live = ref<Measured<Separation> | null>(null)
const kept = ref(new Map<number, Measured<Separation>>())

/** One question in flight; while it is answered only the newest area waits. */
let busy = false
async function measureSketch() {
  if (busy) return
  busy = true
  while (bench.sketch) {
    const asked: Area = bench.sketch
    live.value = await client.call(w => w.separation('this area', asked)).catch(() => null)
    if (asked === bench.sketch) break
  }
  busy = false
}
watch(() => bench.sketch, (sketch) => {
  if (sketch) void measureSketch()
  else live.value = null
})
watch([() => bench.critique?.areas, ready], async ([areas]) => {
  if (!ready.value) return
  const measured = new Map<number, Measured<Separation>>()
  for (const a of areas ?? []) measured.set(a.id, await client.call(w => w.separation(a.name, a.area)))
  kept.value = measured
}, { immediate: true })

const readingOf = (what: string, separation: Measured<Separation> | null | undefined) =>
  (separation && isMeasured(separation) ? separationReading(what, separation, DEFAULT_STANDARDS) : null)
const liveReading = computed(() => readingOf(name.value.trim() || 'this area', live.value))
const areas = computed(() => (bench.critique?.areas ?? []).filter(a => a.name !== FOCUS_NAME).map(a => ({ ...a, reading: readingOf(a.name, kept.value.get(a.id)) })))

async function keep() {
  if (bench.sketch && await bench.addArea(name.value.trim() || 'this area', bench.sketch)) drop()
}
function drop() {
  bench.sketch = null
  bench.drawing = false
  name.value = ''
}
</script>

<template>
  <section aria-label="Areas">
    <div v-if="bench.sketch" class="sketch" data-test="sketch">
      <p v-if="liveReading" class="words" aria-live="polite">{{ liveReading.sentence }}</p>
      <FigureBar v-if="liveReading?.figure" :figure="liveReading.figure" />
      <v-text-field v-model="name" label="What is it? (the face, the boat)" autofocus @keydown.enter="keep" @keydown.esc="drop" />
      <div class="actions">
        <v-btn size="small" @click="keep">Keep the area</v-btn>
        <button class="word-link" @click="drop">drop it</button>
      </div>
    </div>
    <template v-for="a in areas" :key="a.id">
      <ReadingItem v-if="a.reading" :reading="a.reading" :area="a.area" @exercise="emit('exercise')">
        <button v-if="!bench.released" class="word-link" :aria-label="`remove the area ${a.name}`" @click="bench.removeArea(a.id)">remove</button>
      </ReadingItem>
    </template>
    <button v-if="!bench.released && !bench.sketch" class="word-link draw" :aria-pressed="bench.drawing" @click="bench.drawing = !bench.drawing">
      {{ bench.drawing ? 'drag over the picture …' : 'draw an area to read it (a)' }}
    </button>
  </section>
</template>

<style scoped>
.sketch { padding: 12px 0; border-bottom: 1px solid #5e5e5e; display: grid; gap: 8px; }
.words { color: var(--panel-ink); }
.actions { display: flex; gap: 16px; align-items: baseline; }
.draw { margin-top: 12px; color: var(--panel-quiet); }
</style>
