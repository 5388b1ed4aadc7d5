<script setup lang="ts">
import { bandOf, HIGHEST_SCORE, scoreRubric, type Quality, type Score } from '~~/core/critique/rubric'

/**
 * The score, for those who score: each quality from 1 to 9, its station's reading beside it as evidence, never as the
 * score.
 */
const bench = useBenchStore(),
  edits = useEditsStore()
const editing = ref(false)

const qualities = computed<readonly Quality[]>(() => bench.critique.score?.qualities ?? bench.critique.rubric)
const scores = computed(() => bench.critique.score?.scores ?? {})
const result = computed(() => scoreRubric(Object.values(scores.value)))
const CHOICES = [
  ...Array.from({ length: HIGHEST_SCORE }, (_, i) => ({ key: `${i + 1}`, label: `${i + 1}` })),
  { key: 'not-applicable', label: 'n/a' }
]
const scoreOf = (key: string): Score => (key === 'not-applicable' ? key : Number(key))
/** At a quality a digit is its score, not a lens. */
function byDigit(quality: string, event: KeyboardEvent) {
  if (bench.closed || !CHOICES.some(c => c.key === event.key)) return
  event.stopPropagation()
  void give(quality, scoreOf(event.key))
}

const give = (key: string, score: Score) =>
  edits.score(now => ({
    qualities: [...(now?.qualities ?? bench.critique.rubric)],
    scores: { ...now?.scores, [key]: score }
  }))
/** Qualities of one station share its readings out. */
const evidence = (q: Quality): string => {
  const at = qualities.value.filter(k => k.station === q.station).indexOf(q)
  return bench.readings.filter(r => r.station === q.station)[at]?.sentence ?? ''
}
const band = (score: Score | undefined): string =>
  typeof score === 'number' ? bandOf(score) : score === 'not-applicable' ? 'not applicable' : ''
</script>

<template>
  <section class="score" aria-label="Score">
    <ol>
      <li v-for="q in qualities" :key="q.key">
        <p class="title">
          {{ q.title }} <span class="band">{{ band(scores[q.key]) }}</span>
        </p>
        <p v-if="evidence(q)" class="evidence">{{ evidence(q) }}</p>
        <ChoiceGroup
          class="choices"
          :label="q.title"
          :choices="CHOICES"
          :model-value="String(scores[q.key] ?? '')"
          :disabled="bench.closed"
          @update:model-value="give(q.key, scoreOf($event!))"
          @keydown="byDigit(q.key, $event)"
        />
      </li>
    </ol>
    <p v-if="result" role="status" class="sum">{{ result.sum }} of {{ result.most }}, {{ result.percent }} %</p>
    <p v-if="!bench.closed" class="actions">
      <button v-if="bench.critique.score" class="word-link" @click="edits.score(() => null)">
        no score, words only
      </button>
      <button class="word-link" @click="editing = true">change the rubric</button>
    </p>
    <RubricDialog v-model="editing" />
  </section>
</template>

<style scoped>
.score {
  font-size: 13px;
  color: var(--panel-quiet);
  display: grid;
  gap: 8px;
}
ol {
  list-style: none;
  padding: 0;
  display: grid;
  gap: 10px;
}
.title {
  color: var(--panel-ink);
  display: flex;
  justify-content: space-between;
  gap: 10px;
}
.band {
  color: var(--panel-quiet);
  white-space: nowrap;
}
.evidence {
  font-size: 12px;
}
.choices {
  gap: 2px;
  margin-top: 3px;
}
.choices :deep(label) {
  flex: 1;
  height: 24px;
  line-height: 22px;
  text-align: center;
  border: 1px solid var(--l40);
}
.choices :deep(label:last-child) {
  flex: 1.6;
}
.choices :deep(.chosen) {
  background: var(--l96);
  color: var(--l5);
  font-weight: 600;
}
.sum {
  color: var(--panel-ink);
  font-weight: 600;
}
.actions {
  display: flex;
  gap: 16px;
}
</style>
