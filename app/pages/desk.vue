<script setup lang="ts">
import { assignmentListSchema, type Assignment } from '~~/shared/assignment'
import { useIntervalFn } from '@vueuse/core'
import { bringAhead, bringBench } from '~/start/bench'
import { nextTask } from '~/start/inTurn'
import { submissionListSchema, type ListedSubmission } from '~~/shared/submission'

useHead({ title: 'Desk · Critica' })

const pieces = ref<ListedSubmission[]>([]), assignments = ref<Assignment[]>([])
/** Pieces hung in one task. */
const A_TASK = 5
const problem = ref(''), ready = ref(false)
const shelf = ref<'review' | 'exercises' | 'released'>('review')

/** A hand-in for an exercise is confirmed, not reviewed: it hangs on its own shelf. */
const toReview = computed(() => pieces.value.filter(p => p.state === 'waiting' && p.assignmentId === null))
const released = computed(() => pieces.value.filter(p => p.state === 'released').reverse())
const toConfirm = computed(() => assignments.value.filter(a => a.handIn && !a.confirmedAt))
const confirmPieces = computed(() => toConfirm.value.map(a => pieces.value.find(p => p.id === a.handIn!.submissionId)!).filter(Boolean))
const shelves = computed(() => [
  { key: 'review' as const, label: 'To review', pieces: toReview.value },
  { key: 'exercises' as const, label: 'Exercises to confirm', pieces: confirmPieces.value },
  { key: 'released' as const, label: 'Released', pieces: released.value }
])
const hung = computed(() => shelves.value.find(s => s.key === shelf.value)!.pieces)
const shown = useGrowing(hung, A_TASK, () => shelf.value)

const load = computed(() => {
  const n = toReview.value.length
  if (n === 0) return 'Nothing waits.'
  const minutes = toReview.value.reduce((sum, p) => sum + Math.max(0, p.budgetMinutes - p.spentMinutes), 0)
  return `${capital(countWord(n))} piece${n === 1 ? ' waits' : 's wait'}, about ${minutesInWords(minutes)}. The oldest has waited ${waitedWords(toReview.value[0]!.handedInAt)}.`
})

function linkOf(piece: ListedSubmission): string {
  return piece.assignmentId !== null ? `/exercises/${piece.assignmentId}` : piece.state === 'released' ? `/bench/${piece.id}/verdict` : `/bench/${piece.id}`
}

async function fetchDesk() {
  try {
    const fetched = await Promise.all([api(submissionListSchema, '/submissions'), api(assignmentListSchema, '/assignments')])
    await nextTask();
    [pieces.value, assignments.value] = fetched
    problem.value = ''
  } catch (error) {
    problem.value = messageOf(error)
  }
  ready.value = true
}
onMounted(async () => {
  await fetchDesk()
  // Where the next click goes: its parts come while the desk is being read.
  bringAhead(bringBench)
})
// Measuring takes a second or two; a piece just handed in gets its fingerprint without a reload.
useIntervalFn(() => {
  if (pieces.value.some(p => p.measurement.state === 'queued' || p.measurement.state === 'measuring')) void fetchDesk()
}, 1500)
</script>

<template>
  <div>
    <h1 class="load">{{ ready ? load : '…' }}</h1>
    <p v-if="problem" role="alert">{{ problem }}</p>
    <div class="shelves" role="tablist" aria-label="Shelves">
      <button v-for="s in shelves" :key="s.key" role="tab" :aria-selected="shelf === s.key" @click="shelf = s.key">{{ s.label }} {{ s.pieces.length }}</button>
    </div>
    <div class="hanging">
      <DeskPiece v-for="piece in shown" :key="piece.id" :piece="piece" :to="linkOf(piece)" />
      <p v-if="ready && hung.length === 0" class="quiet">This wall is empty.</p>
    </div>
  </div>
</template>

<style scoped>
.load { margin: 20px 0 14px; font-size: 23px; }
.shelves { display: flex; gap: 20px; margin-bottom: 14px; }
.shelves button { padding: 4px 0; border-bottom: 2px solid transparent; color: var(--quiet); }
.shelves button[aria-selected='true'] { border-color: var(--accent); color: var(--ink); font-weight: 600; }
.hanging { display: flex; flex-wrap: wrap; gap: 26px 22px; align-items: flex-start; }
</style>
