<script setup lang="ts">
import { proposeVerdict } from '~~/core/critique/verdict'
import { tagOf } from '~~/core/critique/stations/table'

/** The last station: what works, the verdict, the exercise, and the release. */
const bench = useBenchStore(),
  edits = useEditsStore()
const { works, verdict, write, edited } = useVerdictWords()
const asking = ref(false),
  answer = ref(bench.critique.answer)

/** Fills what is still empty, from what is marked and read. */
const landed = useLandedPraise()
const canPropose = computed(
  () =>
    !bench.closed
    && (!works.value.trim() || !verdict.value.trim() || landed.value.some(line => !works.value.includes(line)))
)
async function propose() {
  const judged = bench.readings.flatMap(r => {
    const own = bench.judgementOf(r.key)
    return own === 'dismissed' ? [] : [{ ...r, verdict: own ?? r.verdict }]
  })
  const made = proposeVerdict({
    works: works.value,
    about: bench.notes.about || bench.piece.about,
    readings: judged,
    landed: landed.value,
    corrections: bench.critique.corrections.map(c => ({ tag: tagOf(c), readingId: c.readingId }))
  })
  works.value = made.works
  if (!verdict.value.trim()) verdict.value = made.verdict
  await write()
}
const scoring = ref(bench.critique.score !== null)
</script>

<template>
  <section class="verdict" aria-label="Verdict">
    <InTurn>
      <p v-if="bench.released" class="words">
        Released on {{ dayWords(bench.critique.releasedAt!) }}. {{ bench.piece.learner.name }} can read it.
      </p>
      <template v-if="bench.released">
        <p v-if="bench.critique.amendedNote" class="quiet-text">Changed since: {{ bench.critique.amendedNote }}</p>
        <div v-if="bench.critique.questionBack" class="back">
          <p class="question">{{ bench.piece.learner.name }} asks: “{{ bench.critique.questionBack }}”</p>
          <v-textarea
            v-model="answer"
            label="Your answer"
            maxlength="2000"
            class="serif"
            :readonly="!bench.mayRelease"
          />
          <v-btn
            v-if="bench.mayRelease"
            size="small"
            :disabled="!answer.trim() || answer === bench.critique.answer"
            @click="edits.answer(answer)"
            >{{ bench.critique.answer ? 'Change the answer' : 'Answer' }}</v-btn
          >
        </div>
        <button v-if="bench.mayRelease" class="word-link" @click="edits.withdraw()">take it back to change it</button>
      </template>
      <button v-if="canPropose" class="word-link" @click="propose">propose words from what is marked and read</button>
      <v-textarea
        v-model="works"
        label="What works, first"
        :readonly="bench.closed"
        class="serif"
        @update:model-value="edited"
        @blur="write"
      />
      <ol v-if="bench.critique.corrections.length" class="corrections">
        <li v-for="c in bench.critique.corrections" :key="c.id">
          <b>{{ tagOf(c) }}</b> {{ c.what }}
        </li>
      </ol>
      <p v-else class="quiet-text">No correction is marked yet.</p>
      <LazyRichEditor
        v-if="!bench.closed"
        v-model="verdict"
        label="Verdict and the next step"
        short="Verdict"
        @update:model-value="edited"
        @blur="write"
      />
      <RichText v-else :words="verdict" />
      <ExerciseChoice />
      <button v-if="!scoring && !bench.closed" class="word-link" @click="scoring = true">score it</button>
      <ScorePanel v-if="scoring" />
      <div v-if="!bench.closed" class="actions">
        <span v-if="!bench.mayRelease" class="quiet-text">The instructor of the class releases it.</span>
        <v-btn v-else variant="flat" color="primary" @click="asking = true"
          >Release to {{ bench.piece.learner.name }}</v-btn
        >
        <NuxtLink :to="`/critique/${bench.piece.id}`" class="preview"
          >see it as {{ bench.piece.learner.name.split(' ')[0] }} will</NuxtLink
        >
      </div>
      <TakeAway :submission-id="bench.piece.id" :editable="!bench.closed" @changed="bench.refreshCritique()" />
    </InTurn>
    <ReleaseDialog v-model="asking" :write="write" />
  </section>
</template>

<style scoped>
.verdict {
  display: grid;
  gap: 14px;
  padding-top: 12px;
}
.verdict > .word-link {
  justify-self: start;
}
.serif :deep(textarea) {
  font-family: var(--serif);
  font-size: 16px;
  line-height: 1.4;
}
.corrections {
  list-style: none;
  padding: 0;
  display: grid;
  gap: 6px;
  font-family: var(--serif);
  font-size: 15px;
}
.corrections b {
  font-family: var(--sans);
  font-size: 12px;
  margin-right: 4px;
}
.back {
  display: grid;
  gap: 8px;
  justify-items: start;
}
.back > .v-input {
  width: 100%;
}
.quiet-text {
  color: var(--panel-quiet);
}
.actions {
  display: flex;
  gap: 12px;
  align-items: baseline;
}
.preview {
  font-size: 13px;
}
</style>
