<script setup lang="ts">
import { STEPS } from '~~/core/call/sitting'
import { openRoom } from '~/sitting/room'

/**
 * The top of the bench while a piece hangs before others: where in the session this is, its clock, and what is done
 * with the piece next.
 */
const bench = useBenchStore(),
  edits = useEditsStore(),
  sitting = useSittingStore()
// Time worked on a piece is counted here as at any bench.
useBenchClock()
const place = computed(() => {
  const { pieces } = sitting.sitting!,
    done = pieces.filter(p => p.standing !== 'waiting').length
  return `${done + 1} of ${pieces.length}`
})
const over = computed(() => sitting.seconds > 60 * sitting.sitting!.budgetMinutes)
const STEP_WORDS = { next: 'Next', later: 'later', park: 'park' } as const
const HINTS = {
  next: 'Talked about: the next one (n)',
  later: 'Behind all that wait (l)',
  park: 'Set aside until you pick it (z)'
} as const
</script>

<template>
  <header class="dark-bar">
    <NuxtLink :to="`/session/${sitting.sitting!.id}`" class="back">← All pieces</NuxtLink>
    <h1>{{ bench.piece.title }}</h1>
    <span class="meta">{{ sitting.piece?.by ?? 'not to be named' }}</span>
    <span class="question" :title="bench.piece.question">{{
      bench.piece.question && `“${bench.piece.question}”`
    }}</span>
    <span v-if="sitting.problem" role="alert" class="meta">{{ sitting.problem }}</span>
    <span class="meta" role="status">{{ edits.saving === 'unsaved' ? 'not saved' : '' }}</span>
    <span class="meta">{{ place }}</span>
    <span class="clock" :class="{ over }" data-test="session-clock"
      >{{ clockWords(sitting.seconds) }}
      <span class="meta"
        >of {{ sitting.sitting!.budgetMinutes }} min{{ over ? ', over' : ''
        }}{{ sitting.sitting!.paused ? ', paused' : '' }}</span
      ></span
    >
    <button
      class="word-link"
      :disabled="sitting.busy"
      @click="sitting.pause(sitting.sitting!.paused ? 'go-on' : 'pause')"
    >
      {{ sitting.sitting!.paused ? 'go on' : 'pause' }}
    </button>
    <button class="word-link" title="What the room sees, in a window of its own" @click="openRoom(sitting.sitting!.id)">
      room’s window
    </button>
    <button
      v-for="step in [...STEPS].reverse()"
      :key="step"
      :class="step === 'next' ? 'on' : 'word-link'"
      :title="HINTS[step]"
      :disabled="sitting.busy"
      @click="sitting.step(step)"
    >
      {{ STEP_WORDS[step] }}
    </button>
  </header>
</template>

<style scoped>
.clock {
  font-size: 19px;
  font-weight: 600;
}
.clock .meta {
  font-size: 13px;
  font-weight: 400;
  color: var(--panel-quiet);
}
.over {
  text-decoration: underline;
  text-underline-offset: 4px;
}
</style>
