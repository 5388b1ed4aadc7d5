<script setup lang="ts">
import { whenever } from '@vueuse/core'
import { bringAhead, bringBench } from '~/start/bench'
import { classListSchema } from '~~/shared/class'
import { shelfTotalsSchema, type ListedSubmission, type Shelf } from '~~/shared/pieces/submission'

definePageMeta({ whose: ['instructor', 'assistant'] })

useHead({ title: 'Desk · Critica' })

const shelf = ref<Shelf>('review')
/** Once there, they stay, whichever shelf is being fetched. */
const shown = ref(false)
// Behind the pieces, which are what is waited for.
const { data: classes } = useApiData(classListSchema, () => (shown.value ? '/classes' : null))
/** The class that is read, where there are several; the address keeps it. */
const route = useRoute()
const classId = computed(() => Number(route.query.class) || null)
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
const { pieces, next, ready, problem, more } = usePieceList(
  () => shelf.value,
  () => classId.value
)

/** A hand-in for an exercise is confirmed, not reviewed: it hangs on its own shelf. */
const SHELVES: readonly { readonly key: Shelf; readonly label: string }[] = [
  { key: 'review', label: 'To review' },
  { key: 'exercises', label: 'Exercises to confirm' },
  { key: 'released', label: 'Released' }
]
const load = computed(() => {
  if (!totals.value) return '…'
  const {
    counts: { review: n },
    minutes,
    oldest
  } = totals.value
  if (n === 0 || !oldest) return 'Nothing waits.'
  return `${capital(countWord(n))} piece${n === 1 ? ' waits' : 's wait'}, about ${minutesInWords(minutes)}. The oldest has waited ${waitedWords(oldest)}.`
})

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
    <LazyWordChoice v-if="choices.length > 2" v-model="chosen" label="Class" :choices="choices" class="of-class" />
    <p v-else-if="classes && taught.length === 0" class="words">
      You teach no class yet. <NuxtLink to="/classes">Make your first</NuxtLink>.
    </p>
    <p v-if="problem || unread" role="alert">{{ problem || unread }}</p>
    <!-- The pieces are what is waited for: the tabs are fetched behind them. -->
    <div class="shelves">
      <LazyDeskShelves v-if="shown" v-model="shelf" :shelves="SHELVES" :counts="totals?.counts" />
    </div>
    <div id="shelf" role="tabpanel" :aria-labelledby="`tab-${shelf}`">
      <PieceWall v-slot="{ piece }" :pieces="pieces" :of="shelf" :more="next !== null" @end="more">
        <DeskPiece :piece="piece" :to="linkOf(piece)" />
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
.shelves {
  height: 32px;
  margin-bottom: 14px;
}
.of-class {
  margin-bottom: 12px;
}
</style>
