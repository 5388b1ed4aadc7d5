<script setup lang="ts">
import { EXERCISES } from '~~/core/exercise'
import type { Reading } from '~~/core/critique/reading'
import { tagOf } from '~/stores/bench'
import type { Area } from '~~/core/picture/area'

/** One reading: sentence, figure, and what can be done with it. */
const props = defineProps<{ reading: Reading, area?: Area | null }>()
const emit = defineEmits<{ exercise: [] }>()
const bench = useBenchStore()
const why = ref(false)

const marked = computed(() => bench.critique?.corrections.find(c => c.readingId === props.reading.id && JSON.stringify(c.area) === JSON.stringify(props.area ?? null)))
const shown = computed(() => props.reading.evidence && JSON.stringify(bench.lens) === JSON.stringify(props.reading.evidence))
const WORDS = { works: 'works', look: 'look again', fix: 'fix' } as const

function mark() {
  const { reading } = props
  bench.draft = {
    station: reading.station,
    area: props.area ?? null,
    readingId: reading.id,
    reason: reading.sentence,
    what: reading.correction?.what ?? reading.sentence,
    todo: reading.correction?.todo ?? '',
    target: reading.correction?.target ?? null
  }
}
function show() {
  bench.points = shown.value ? undefined : props.reading.points
  bench.lens = shown.value ? { name: 'plain' } : props.reading.evidence!
}
</script>

<template>
  <article class="reading" :data-reading="reading.id">
    <p class="words"><span class="verdict" :class="reading.verdict">{{ WORDS[reading.verdict] }}</span> {{ reading.sentence }}</p>
    <FigureBar v-if="reading.figure" :figure="reading.figure" />
    <p v-if="why" class="why">{{ reading.why }}</p>
    <div class="actions">
      <button v-if="reading.evidence" class="word-link" :aria-pressed="shown" @click="show">{{ shown ? 'back to the picture' : 'show me' }}</button>
      <button class="word-link" :aria-expanded="why" @click="why = !why">why</button>
      <span v-if="marked" class="marked">marked {{ tagOf(marked) }}</span>
      <button v-else-if="!bench.released" class="word-link" @click="mark">mark it</button>
      <button v-if="reading.trains.length && !bench.released" class="word-link" @click="emit('exercise')">set {{ EXERCISES[reading.trains[0]!].title.toLowerCase() }}</button>
      <slot />
    </div>
  </article>
</template>

<style scoped>
.reading { padding: 14px 0 12px; border-bottom: 1px solid #5e5e5e; }
.words { color: var(--panel-ink); }
.verdict { font-family: var(--sans); font-size: 11px; padding: 1px 5px; border: 1px solid currentColor; vertical-align: 2px; margin-right: 3px; white-space: nowrap; }
.verdict.fix { background: #f3f3f3; color: #111; border-color: #f3f3f3; font-weight: 600; }
.verdict.works { border-color: transparent; padding-left: 0; color: var(--panel-quiet); }
.why { font-size: 13px; color: var(--panel-quiet); margin: 6px 0 2px; }
.actions { display: flex; flex-wrap: wrap; gap: 4px 16px; margin-top: 6px; color: var(--panel-quiet); align-items: baseline; }
.marked { font-size: 13px; }
</style>
