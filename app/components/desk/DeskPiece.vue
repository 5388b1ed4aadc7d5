<script setup lang="ts">
import type { ListedSubmission } from '~~/shared/pieces/submission'

/**
 * One piece on the wall of the desk: the picture, its question, and its fingerprint; on its maker's wall without their
 * name and the critic's time.
 */
const props = defineProps<{ piece: ListedSubmission; to: string; own?: boolean; standing?: boolean }>()

const HEIGHT = 158
const width = computed(() => Math.min(420, Math.max(80, (HEIGHT * props.piece.width) / props.piece.height)))
const fingerprint = computed(() =>
  props.piece.measurement.state === 'done' ? props.piece.measurement.fingerprint : null
)
/** On a call's shelf everything hangs, whatever became of it. */
const stands = computed(() =>
  props.standing ? (props.piece.state === 'released' ? 'released · ' : props.piece.talked ? 'talked about · ' : '') : ''
)
const SAID = { measuring: 'being measured …', failed: 'could not be measured', done: 'nothing in it can be measured' }
/** In a long queue, how long it is: whoever waits may do something else. */
const said = computed(() => {
  const { measurement } = props.piece
  if (measurement.state !== 'queued') return SAID[measurement.state]
  const { waiting = 1 } = measurement
  return waiting > 3 ? `one of ${countWord(waiting)} to be measured` : SAID.measuring
})
</script>

<template>
  <NuxtLink
    :to="to"
    class="piece"
    :style="{ width: `${Math.max(150, width)}px` }"
    :aria-label="`${piece.title} by ${piece.learner.name}`"
  >
    <div class="hang" :style="{ height: `${HEIGHT}px`, width: `${width}px` }">
      <img
        :src="apiAt(`/submissions/${piece.id}/picture/thumb`)"
        :alt="`${piece.title}, ${piece.medium}`"
        loading="lazy"
      />
    </div>
    <h3>{{ piece.title }}</h3>
    <p class="learner">
      <template v-if="!own">{{ piece.learner.name }} <span class="quiet">· </span></template
      ><span class="quiet"
        >{{ stands }}{{ piece.earlierId ? `version ${piece.version} · ` : '' }}{{ waitedWords(piece.handedInAt) }}</span
      >
    </p>
    <p v-if="piece.question" class="question">{{ piece.question }}</p>
    <div v-if="fingerprint" class="fingerprint">
      <HueRing :families="fingerprint.families" :wheel="fingerprint.wheel" />
      <ValueStrip :darkest="fingerprint.darkest" :lightest="fingerprint.lightest" :range="fingerprint.range" />
      <span v-if="!own" class="quiet"
        >{{ piece.spentMinutes ? `${piece.spentMinutes} of ` : '' }}{{ piece.budgetMinutes }} min</span
      >
    </div>
    <p v-else class="quiet">{{ said }}</p>
  </NuxtLink>
</template>

<style scoped>
/**
 * What is scrolled out of sight is neither laid out nor painted. The room around leaves the frame's outline unclipped.
 */
.piece {
  display: block;
  text-decoration: none;
  content-visibility: auto;
  contain-intrinsic-size: auto 256px;
  box-sizing: content-box;
  padding: 2px;
  margin: -2px;
  max-width: 100%;
}
/* Thumbnails hang on mid grey: a transparent piece must not read lighter on paper. */
/* A broad one on a phone is as broad as the page. */
.hang {
  max-width: 100%;
  background: var(--wall);
  outline: 1px solid var(--line);
}
.hang img {
  width: 100%;
  height: 100%;
  object-fit: contain;
  display: block;
}
.piece:hover .hang {
  outline: 2px solid var(--accent);
}
h3 {
  font-family: var(--sans);
  font-size: 14px;
  font-weight: 600;
  margin-top: 8px;
}
.learner {
  font-size: 13px;
}
.question {
  font-size: 15px;
  line-height: 1.2;
  margin: 2px 0 2px -3px;
  padding-left: 3px;
  display: -webkit-box;
  -webkit-line-clamp: 2;
  -webkit-box-orient: vertical;
  overflow: hidden;
}
.fingerprint {
  display: grid;
  grid-template-columns: 18px 1fr auto;
  gap: 8px;
  align-items: center;
  margin-top: 4px;
  font-size: 13px;
}
</style>
