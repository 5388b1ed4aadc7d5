<script setup lang="ts">
import { useTimeoutFn } from '@vueuse/core'
import { z } from 'zod'
import { keptWords } from '~/utils/kept'
import { useBenchPicture } from '~/composables/usePicture'

/** The first look: small and blurred for a moment, then three questions, before anything measured is shown. */
const bench = useBenchStore(),
  sight = useSightStore(),
  pencil = usePencilStore(),
  edits = useEditsStore(),
  wall = useWallStore()
const { ready } = useBenchPicture()
const SECONDS = 3

/** Until the picture hangs there is nothing to ask about. */
const looking = ref(!bench.notes.firstEye && !bench.closed)
const { start, stop } = useTimeoutFn(
  () => {
    looking.value = false
    sight.lens = { name: 'plain' }
    wall.hangAs('stamp')
  },
  SECONDS * 1000,
  { immediate: false }
)
function look() {
  looking.value = true
  wall.fit()
  wall.hangAs('room')
  sight.lens = { name: 'squint' }
  start()
}
// The moment begins when the picture hangs, not while it is still on its way.
watch(
  ready,
  now => {
    if (now && !bench.notes.firstEye && !bench.closed) look()
  },
  { immediate: true }
)
onBeforeUnmount(() => {
  stop()
  pencil.drop()
  wall.fit()
})

const picking = computed(() => pencil.tool === 'point')
async function pick() {
  wall.fit()
  const at = await pencil.pickPoint()
  if (at) await edits.note({ firstEye: at })
}
const { works, write, edited } = useVerdictWords()
const keptAbout = keptWords(useSessionStore().person.id, `about:${bench.piece.id}`, z.string())
const about = ref((bench.closed ? null : keptAbout.read()) ?? bench.notes.about)
watch(
  () => edits.theirs,
  () => {
    about.value = bench.notes.about
  }
)
async function noteAbout() {
  if (!bench.closed && about.value !== bench.notes.about) await edits.note({ about: about.value })
  if (about.value === bench.notes.about) keptAbout.drop()
}
onBeforeUnmount(noteAbout)
</script>

<template>
  <section class="first" aria-label="First look">
    <p v-if="looking" class="words" role="status">Look. Small, soft, from across the room. What is there?</p>
    <template v-else>
      <p class="question">1. Where did your eye go first?</p>
      <button v-if="!bench.closed" class="word-link" :aria-pressed="picking" @click="picking ? pencil.drop() : pick()">
        {{ picking ? 'click on the picture …' : bench.notes.firstEye ? 'somewhere else' : 'show it on the picture' }}
      </button>
      <p class="question">2. What is it about?</p>
      <v-textarea
        v-model="about"
        label="The one thing this piece is about"
        :rows="1"
        maxlength="500"
        :readonly="bench.closed"
        @update:model-value="keptAbout.keep"
        @blur="noteAbout"
      />
      <p v-if="bench.notes.firstEye && bench.piece.about" class="quiet-text">
        {{ bench.piece.learner.name }} wrote: {{ bench.piece.about }}
      </p>
      <p class="question">3. Two things that work</p>
      <v-textarea
        v-model="works"
        label="One a line"
        :rows="2"
        maxlength="2000"
        :readonly="bench.closed"
        class="serif"
        @update:model-value="edited"
        @blur="write"
      />
      <button class="word-link" @click="look">look once more</button>
      <PieceStudies v-if="!bench.unseen" :submission-id="bench.piece.id" />
    </template>
  </section>
</template>

<style scoped>
.first {
  display: grid;
  gap: 10px;
  padding-top: 12px;
  justify-items: start;
}
.first > :deep(.v-input),
.first > .reading {
  width: 100%;
}
.question {
  font-style: normal;
}
.quiet-text {
  color: var(--panel-quiet);
  font-family: var(--serif);
  font-style: italic;
}
.serif :deep(textarea) {
  font-family: var(--serif);
  font-size: 16px;
  line-height: 1.4;
}
</style>
