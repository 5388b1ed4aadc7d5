<script setup lang="ts">
/** The top of the bench: way back, the piece, the learner's question, what is saved, the release. */
const bench = useBenchStore(),
  edits = useEditsStore()
const standards = ref(false)
const { minutes, away } = useBenchClock()
const SAID = { saved: 'saved', saving: 'saving …', unsaved: 'not saved' } as const
</script>

<template>
  <header class="dark-bar">
    <NuxtLink :to="bench.piece.ofCall ? `/desk?call=${bench.piece.classId}` : '/desk'" class="back">← Desk</NuxtLink>
    <h1>{{ bench.piece.title }}</h1>
    <span class="meta">{{ bench.piece.learner.name }} · {{ bench.piece.medium || 'no medium given' }}</span>
    <span class="question" :title="bench.piece.question">{{
      bench.piece.question && `“${bench.piece.question}”`
    }}</span>
    <NuxtLink v-if="bench.piece.earlierId" :to="`/versions/${bench.piece.id}`" class="word-link"
      >version {{ bench.piece.version }}: did it land?</NuxtLink
    >
    <button class="word-link" @click="standards = true">standards</button>
    <template v-if="!bench.closed">
      <button class="word-link" :disabled="!edits.canUndo" title="u" @click="edits.undo()">undo</button>
      <button class="word-link" :disabled="!edits.canRedo" title="y" @click="edits.redo()">do again</button>
    </template>
    <span
      v-if="!bench.closed"
      class="meta"
      data-test="clock"
      :title="away ? 'paused while you are away' : 'time worked on this piece'"
      >{{ minutes }} of {{ bench.piece.budgetMinutes }} min{{ away ? ', paused' : '' }}</span
    >
    <span class="meta" role="status">{{
      bench.released ? 'released' : bench.closed ? 'archived, to be read only' : SAID[edits.saving]
    }}</span>
    <NuxtLink v-if="!bench.closed" :to="`/bench/${bench.piece.id}/verdict`" replace class="on">{{
      bench.mayRelease ? 'Release' : 'Verdict'
    }}</NuxtLink>
    <LazyStandardsDialog
      v-if="standards"
      v-model="standards"
      :class-id="bench.piece.classId"
      :class-name="bench.piece.className"
      @changed="bench.refreshCritique()"
    />
  </header>
</template>
