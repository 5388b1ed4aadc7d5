<script setup lang="ts">
import { exerciseSet } from '~~/core/exercise'
import type { Assignment } from '~~/shared/exercises/assignment'

/** What a learner does with an exercise: plan it, print its sheet, check work in progress, hand it in. */
const props = defineProps<{ assignment: Assignment }>()
const emit = defineEmits<{ changed: [] }>()
const open = computed(() => !props.assignment.confirmedAt)
const plan = computed(() => props.assignment.plan)
/** Schemes are planned; a ladder is not. */
const plans = computed(() => exerciseSet(props.assignment).keyed)
const sheet = (paper: string): string => apiAt(`/assignments/${props.assignment.id}/worksheet?paper=${paper}`)
const checking = ref(false)
</script>

<template>
  <section class="acts" aria-label="What to do">
    <PlanSummary v-if="plan" :plan="plan" :wheel="assignment.settings.wheel">
      ·
      <a class="word-link" :href="apiAt(`/assignments/${assignment.id}/plan`)" target="_blank">print it</a>
      <template v-if="open">
        · <NuxtLink class="word-link" :to="`/exercises/${assignment.id}/plan`">change it</NuxtLink></template
      >
    </PlanSummary>
    <NuxtLink v-else-if="plans && open" class="word-link" :to="`/exercises/${assignment.id}/plan`"
      >plan it first</NuxtLink
    >
    <p class="word-row">
      <a class="word-link" :href="sheet('a4')" target="_blank">print the worksheet</a>
      <a class="word-link" :href="sheet('letter')" target="_blank">on Letter</a>
      <NuxtLink class="word-link" :to="`/exercises/${assignment.id}/sheet`">read a filled one</NuxtLink>
    </p>
    <template v-if="open">
      <p>
        <button class="word-link" :aria-expanded="checking" @click="checking = !checking">
          check work in progress, for yourself
        </button>
        <span v-if="assignment.studies" class="quiet">
          · {{ countWord(assignment.studies) }} {{ assignment.studies === 1 ? 'study' : 'studies' }} kept</span
        >
      </p>
      <LazyPrivateCheck v-if="checking" :assignment="assignment" @checked="emit('changed')" />
      <v-btn :to="`/hand-in?exercise=${assignment.id}`" color="primary" variant="flat">{{
        assignment.handIn ? 'Hand in again' : 'Hand in the exercise'
      }}</v-btn>
    </template>
  </section>
</template>

<style scoped>
.acts {
  display: grid;
  gap: 10px;
  justify-items: start;
}
</style>
