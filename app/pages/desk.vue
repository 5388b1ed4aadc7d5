<script setup lang="ts">
import { whenever } from '@vueuse/core'
import { bringAhead, bringBench } from '~/start/bench'
import { classListSchema } from '~~/shared/class'
import { MOST_COUNTED, shelfTotalsSchema, type ListedSubmission, type Shelf } from '~~/shared/pieces/submission'

definePageMeta({ whose: ['instructor', 'assistant'] })

useHead({ title: 'Desk · Critica' })

/** A shelf of the classes, or an open call's own: `call-` and its class. */
const open = ref('review')
/** Once there, they stay, whichever shelf is being fetched. */
const shown = ref(false)
// Behind the pieces, which are what is waited for.
const { data: classes } = useApiData(classListSchema, () => (shown.value ? '/classes' : null))
/** The class that is read, where there are several; the address keeps it. */
const route = useRoute()
const classId = computed(() => Number(route.query.class) || null)
const call = computed(() => totals.value?.calls.find(c => `call-${c.classId}` === open.value) ?? null),
  shelf = computed<Shelf>(() => (open.value.startsWith('call-') ? 'call' : (open.value as Shelf)))
// The bench of a call's piece leads back to its shelf.
if (Number(route.query.call)) open.value = `call-${Number(route.query.call)}`
const taught = computed(() => classes.value?.filter(c => c.role && c.role !== 'learner') ?? [])
const choices = computed(() => [
  { key: 'all', label: 'all classes' },
  ...taught.value.filter(c => !c.archived || c.id === classId.value).map(c => ({ key: `${c.id}`, label: c.name }))
])
const chosen = computed({
  get: () => (classId.value === null ? 'all' : `${classId.value}`),
  set: key => void navigateTo({ query: key === 'all' ? {} : { class: key } }, { replace: true })
})
const { data: totals, problem: unread } = useApiData(shelfTotalsSchema, () =>
  classId.value === null ? '/shelves' : `/shelves?classId=${classId.value}`
)
const learner = ref<number | null>(null),
  exercise = ref<string | null>(null)
const hungOf = computed(() => (shelf.value === 'call' ? Number(open.value.slice('call-'.length)) : classId.value))
const { pieces, next, ready, problem, more } = usePieceList(
  () => shelf.value,
  () => ({
    classId: hungOf.value,
    learner: learner.value,
    exercise: shelf.value === 'exercises' ? exercise.value : null
  })
)
/** What is seen at one look needs no search. */
const long = computed(() => next.value !== null || learner.value !== null || exercise.value !== null)
watch([open, classId], () => (learner.value = exercise.value = null))

/** A hand-in for an exercise is confirmed, not reviewed: it hangs on its own shelf. */
const SHELVES = [
  { key: 'review', label: 'To review' },
  { key: 'exercises', label: 'Exercises to confirm' },
  { key: 'released', label: 'Released' }
] as const
const shelves = computed(() => [
  ...SHELVES.map(s => ({ ...s, count: totals.value ? asCounted(totals.value.counts[s.key]) : undefined })),
  ...(totals.value?.calls ?? []).map(c => ({ key: `call-${c.classId}`, label: c.title, count: c.waiting }))
])
const load = computed(() => {
  if (!totals.value) return '…'
  if (call.value) {
    const { waiting, minutes } = call.value
    return waiting === 0 ? 'Nothing waits here.' : `${piecesWait(waiting)}, about ${minutesInWords(minutes)}.`
  }
  const {
    counts: { review: n },
    minutes,
    oldest
  } = totals.value
  if (n === 0 || !oldest) return 'Nothing waits.'
  const time =
    n > MOST_COUNTED ? `over ${countWord(Math.floor(minutes / 60))} hours` : `about ${minutesInWords(minutes)}`
  return `${piecesWait(n)}, ${time}. The oldest has waited ${waitedWords(oldest)}.`
})

function piecesWait(n: number): string {
  const many = n > MOST_COUNTED ? `Over ${MOST_COUNTED}` : capital(countWord(n))
  return `${many} piece${n === 1 ? ' waits' : 's wait'}`
}

/** Beyond what is counted nobody asks how many. */
const asCounted = (n: number): number | string => (n > MOST_COUNTED ? `${MOST_COUNTED}+` : n)

function linkOf(piece: ListedSubmission): string {
  return piece.assignmentId !== null
    ? `/exercises/${piece.assignmentId}`
    : piece.state === 'released'
      ? `/bench/${piece.id}/verdict`
      : `/bench/${piece.id}`
}

whenever(
  () => ready.value || problem.value,
  () => (shown.value = true),
  { once: true }
)
// Where the next click goes: its parts come while the desk is being read.
whenever(ready, () => bringAhead(bringBench), { once: true })
</script>

<template>
  <div>
    <h1 class="load">{{ load }}</h1>
    <LazyWordChoice
      v-if="choices.length > 2 && shelf !== 'call'"
      v-model="chosen"
      label="Class"
      :choices="choices"
      class="of-class"
    />
    <p v-else-if="classes && taught.length === 0" class="words">
      You teach no class yet. <NuxtLink to="/classes">Make your first</NuxtLink>.
    </p>
    <p v-if="totals?.byMail" class="by-mail">
      <NuxtLink to="/inbox"
        >{{ capital(countWord(totals.byMail)) }} picture{{ totals.byMail === 1 ? '' : 's' }} came by mail</NuxtLink
      >
    </p>
    <p v-if="problem || unread" role="alert">{{ problem || unread }}</p>
    <!-- The pieces are what is waited for: the tabs are fetched behind them. -->
    <div class="shelves">
      <LazyDeskShelves v-if="shown" v-model="open" :shelves="shelves" />
      <LazyDeskNarrow
        v-if="long"
        v-model:learner="learner"
        v-model:exercise="exercise"
        :shelf="shelf"
        :class-id="hungOf"
      />
    </div>
    <div id="shelf" role="tabpanel" :aria-labelledby="`tab-${open}`">
      <LazyCallShelfActs v-if="call" :call="call" />
      <PieceWall v-slot="{ piece }" :pieces="pieces" :of="open" :more="next !== null" @end="more">
        <DeskPiece :piece="piece" :to="linkOf(piece)" :standing="shelf === 'call'" />
      </PieceWall>
      <p v-if="ready && !problem && pieces.length === 0" class="quiet">This wall is empty.</p>
    </div>
  </div>
</template>

<style scoped>
.load {
  margin: 20px 0 14px;
  font-size: 23px;
}
.by-mail {
  margin: -6px 0 12px;
}
.shelves {
  min-height: 40px;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 24px;
  margin-bottom: 12px;
}
.of-class {
  margin-bottom: 12px;
}
</style>
