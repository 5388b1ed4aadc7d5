<script setup lang="ts">
import { EXERCISES } from '~~/core/exercise'
import type { PieceReading } from '~~/core/critique/stations/piece'
import { tagOf } from '~~/core/critique/stations/table'
import type { ReadingVerdict } from '~~/core/critique/reading'

/** One reading: sentence, figure, and what can be done with it. The verdict is the instructor's to change, or the reading to be set aside. */
const props = defineProps<{ reading: PieceReading }>()
const emit = defineEmits<{ exercise: [] }>()
const bench = useBenchStore(),
  sight = useSightStore(),
  inHand = useInHandStore(),
  edits = useEditsStore()
const why = ref(false),
  judging = ref(false)

const key = computed(() => props.reading.key)
const judged = computed(() => bench.judgementOf(key.value))
const verdict = computed<ReadingVerdict>(() =>
  judged.value && judged.value !== 'dismissed' ? judged.value : props.reading.verdict
)
const marked = computed(() =>
  bench.critique.corrections.find(
    c => c.readingId === props.reading.id && JSON.stringify(c.area) === JSON.stringify(props.reading.area)
  )
)
const shown = computed(() =>
  props.reading.silhouette
    ? sight.silhouette !== null && sight.silhouette === props.reading.area
    : props.reading.evidence
      ? JSON.stringify(sight.lens) === JSON.stringify(props.reading.evidence)
      : props.reading.points !== undefined && sight.points === props.reading.points
)
const WORDS = { works: 'works', look: 'look again', fix: 'fix' } as const
const VERDICTS = Object.keys(WORDS) as ReadingVerdict[]

function mark() {
  const { reading } = props
  inHand.begin({
    station: reading.station,
    area: reading.area,
    mark: null,
    readingId: reading.id,
    reason: reading.sentence,
    what: reading.correction?.what ?? reading.sentence,
    todo: reading.correction?.todo ?? '',
    target: reading.correction?.target ?? null
  })
}
function show() {
  const { evidence, points, silhouette } = props.reading,
    off = shown.value
  sight.silhouette = silhouette && !off ? props.reading.area : null
  sight.points = off ? undefined : points
  sight.lens = off || !evidence ? { name: 'plain' } : evidence
}
async function judge(as: ReadingVerdict | 'dismissed') {
  judging.value = false
  await edits.judge(key.value, as === props.reading.verdict ? null : as)
}
</script>

<template>
  <article v-if="judged === 'dismissed'" class="reading aside" :data-reading="reading.id">
    <span class="words">Set aside: {{ reading.sentence }}</span>
    <button v-if="!bench.released" class="word-link" @click="edits.judge(key, null)">take back</button>
    <ReadingWhy :reading="reading" set-aside />
  </article>
  <article v-else class="reading" :data-reading="reading.id" :data-verdict="verdict">
    <p class="words">
      <component
        :is="bench.released ? 'span' : 'button'"
        class="verdict"
        :class="verdict"
        :aria-expanded="bench.released ? undefined : judging"
        :title="bench.released ? undefined : 'Judge it otherwise'"
        @click="judging = !bench.released && !judging"
        >{{ WORDS[verdict] }}{{ judged ? ' (yours)' : '' }}</component
      >
      {{ reading.sentence }}
    </p>
    <div v-if="judging" class="actions judging" role="group" aria-label="Your verdict">
      <button v-for="v in VERDICTS" :key="v" class="word-link" :aria-pressed="verdict === v" @click="judge(v)">
        {{ WORDS[v] }}
      </button>
      <button class="word-link" @click="judge('dismissed')">set aside</button>
    </div>
    <FigureBar v-if="reading.figure" :figure="reading.figure" />
    <ReadingWhy v-if="why" :reading="reading" />
    <div class="actions">
      <button
        v-if="reading.evidence || reading.points || reading.silhouette"
        class="word-link"
        :aria-pressed="shown"
        @click="show"
      >
        {{ shown ? 'back to the picture' : 'show me' }}
      </button>
      <button class="word-link" :aria-expanded="why" @click="why = !why">why</button>
      <span v-if="marked" class="marked">marked {{ tagOf(marked) }}</span>
      <button v-else-if="!bench.released" class="word-link" @click="mark">mark it</button>
      <button v-if="reading.trains.length && !bench.released" class="word-link" @click="emit('exercise')">
        set {{ EXERCISES[reading.trains[0]!].title.toLowerCase() }}
      </button>
      <slot />
    </div>
  </article>
</template>

<style scoped>
.reading {
  padding: 14px 0 12px;
  border-bottom: 1px solid var(--l40);
}
.words {
  color: var(--panel-ink);
}
.verdict {
  font-family: var(--sans);
  font-size: 11px;
  padding: 1px 5px;
  border: 1px solid currentColor;
  vertical-align: 2px;
  margin-right: 3px;
  white-space: nowrap;
}
.verdict.fix {
  background: var(--l96);
  color: var(--l5);
  border-color: var(--l96);
  font-weight: 600;
}
.verdict.works {
  border-color: transparent;
  padding-left: 0;
  color: var(--panel-quiet);
}
.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  margin-top: 6px;
  color: var(--panel-quiet);
  align-items: baseline;
}
.judging {
  padding: 4px 0;
  color: var(--panel-ink);
}
.judging [aria-pressed='true'] {
  font-weight: 600;
  border-bottom-width: 2px;
}
.marked {
  font-size: 13px;
}
.aside {
  display: flex;
  gap: 12px;
  align-items: baseline;
  color: var(--panel-quiet);
}
.aside .words {
  color: inherit;
  font-size: 14px;
  flex: 1;
}
</style>
