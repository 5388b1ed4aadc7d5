<script setup lang="ts">
import type { ListedSubmission } from '~~/shared/pieces/submission'

definePageMeta({ whose: ['learner'] })

useHead({ title: 'My work · Critica' })
const { pieces, next, ready, problem, more } = usePieceList(() => null)

const session = useSessionStore()
const released = computed(() => pieces.value.filter(p => p.state === 'released').length)
const line = computed(() =>
  !pieces.value.length
    ? 'Nothing handed in yet.'
    : released.value
      ? `${capital(countWord(released.value))} critique${released.value === 1 ? ' is' : 's are'} ready to read.`
      : 'No critique is released yet.'
)
const linkOf = (p: ListedSubmission): string =>
  p.state === 'released' ? `/critique/${p.id}` : p.assignmentId ? `/exercises/${p.assignmentId}` : '/work'
const stateOf = (p: ListedSubmission): string =>
  p.state === 'released' ? 'critique ready' : p.assignmentId ? 'exercise, see the checks' : 'waits for the instructor'
</script>

<template>
  <div>
    <h1 class="line">{{ ready ? line : '…' }}</h1>
    <p v-if="problem" role="alert">{{ problem }}</p>
    <PieceWall v-slot="{ piece }" :pieces="pieces" of="own" :more="next !== null" @end="more">
      <div>
        <DeskPiece :piece="piece" :to="linkOf(piece)" own />
        <p class="state" :class="{ ready: piece.state === 'released' }">{{ stateOf(piece) }}</p>
      </div>
    </PieceWall>
    <p class="term word-row">
      <NuxtLink to="/studies">Studies</NuxtLink>
      <NuxtLink v-if="released" :to="`/progress/${session.person.id}`">How the term goes</NuxtLink>
    </p>
    <v-btn class="hand-in" to="/hand-in" color="primary" variant="flat">Hand in a picture</v-btn>
  </div>
</template>

<style scoped>
.line {
  margin: 20px 0 14px;
  font-size: 23px;
}
.term {
  margin-top: 18px;
}
.hand-in {
  margin-top: 28px;
}
.state {
  font-size: 13px;
  color: var(--quiet);
  margin-top: 4px;
}
.state.ready {
  color: var(--accent);
  font-weight: 600;
}
</style>
