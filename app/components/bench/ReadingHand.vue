<script setup lang="ts">
import { isMarkingOf, markingOf } from '~~/core/critique/marking'
import type { ReadingVerdict } from '~~/core/critique/reading'
import { describeTarget } from '~~/core/critique/target'
import type { PieceReading } from '~~/core/critique/stations/piece'
import { tagOf } from '~~/core/critique/stations/table'
import { EXERCISES } from '~~/core/exercise'
import { isMeasured } from '~~/core/measure/report'

/**
 * What can be done with the reading in hand: marked in one gesture, tried, reworded, asked why, trained, judged
 * otherwise.
 */
const props = defineProps<{ reading: PieceReading }>()
const emit = defineEmits<{ exercise: [] }>()
const bench = useBenchStore(),
  sight = useSightStore(),
  edits = useEditsStore()
const why = ref(false),
  judging = ref(false),
  rewording = ref(false)

const verdict = computed(() => bench.verdictOf(props.reading))
const marked = computed(() => bench.critique.corrections.find(c => isMarkingOf(c, props.reading)))
/** Value of a flat black that a mixed dark would stand for. */
const dark = computed(() => {
  const value = bench.report?.value
  return props.reading.id === 'value.black' && value && isMeasured(value) ? Math.round(value.darkest) : null
})
const WORDS = { fix: 'to fix', look: 'look again', works: 'works' } as const
const VERDICTS = Object.keys(WORDS) as ReadingVerdict[]

async function judge(as: ReadingVerdict | 'dismissed') {
  judging.value = false
  await edits.judge(props.reading.key, as === props.reading.verdict ? null : as)
}
</script>

<template>
  <div class="hand">
    <FigureBar v-if="reading.figure" :figure="reading.figure" />
    <div class="actions">
      <b v-if="marked">marked {{ tagOf(marked) }}</b>
      <template v-if="!bench.closed">
        <button v-if="!marked" class="word-link" @click="edits.addCorrection(markingOf(reading, bench.piece))">
          mark it
        </button>
        <button v-else class="word-link" @click="sight.trying = marked.id">try it</button>
      </template>
      <button class="word-link" :aria-expanded="why" @click="why = !why">why</button>
      <template v-if="!bench.closed">
        <button v-if="reading.trains.length" class="word-link" @click="emit('exercise')">
          set {{ EXERCISES[reading.trains[0]!].title.toLowerCase() }}
        </button>
        <NuxtLink
          v-if="dark !== null"
          class="word-link"
          :to="{ path: '/workshop', query: { dark, piece: bench.piece.id } }"
        >
          mix one instead
        </NuxtLink>
        <button class="word-link" :aria-expanded="judging" @click="judging = !judging">judge it otherwise</button>
      </template>
    </div>
    <div v-if="judging" class="actions judging" role="group" aria-label="Your verdict">
      <button v-for="v in VERDICTS" :key="v" class="word-link" :aria-pressed="verdict === v" @click="judge(v)">
        {{ WORDS[v] }}
      </button>
      <button class="word-link" @click="judge('dismissed')">set aside</button>
    </div>
    <ReadingWhy v-if="why" :reading="reading" />
    <template v-if="marked">
      <CorrectionForm v-if="rewording" :id="marked.id" :model-value="marked" @done="rewording = false" />
      <div v-else class="todo">
        <p v-if="marked.todo" class="words">{{ marked.todo }}</p>
        <p class="quiet-text">
          <template v-if="marked.target">Target: {{ describeTarget(marked.target) }}. </template>
          <button v-if="!bench.closed" class="word-link" @click="rewording = true">reword</button>
        </p>
      </div>
    </template>
  </div>
</template>

<style scoped>
.hand {
  padding-bottom: 12px;
  display: grid;
  gap: 6px;
}
.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: baseline;
  font-size: 13px;
}
.judging [aria-pressed='true'] {
  font-weight: 600;
  border-bottom-width: 2px;
}
.todo {
  border-top: 1px solid var(--l40);
  padding-top: 8px;
}
.quiet-text {
  font-size: 13px;
  color: var(--panel-quiet);
}
</style>
