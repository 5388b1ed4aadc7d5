<script setup lang="ts">
import { z } from 'zod'
import type { Assignment } from '~~/shared/exercises/assignment'

/** The instructor's word on one exercise: accepted, again; another day, withdrawn. */
const props = defineProps<{ assignment: Assignment }>()
const emit = defineEmits<{ changed: [] }>()
const path = `/assignments/${props.assignment.id}`
const { problem, busy, act } = useAct()
const word = ref(''),
  moving = ref(false),
  dueOn = ref(props.assignment.dueOn),
  note = ref(props.assignment.note)
async function send(to: string, method: 'POST' | 'PUT', body: object) {
  if (await act(() => api(z.object({}), `${path}${to}`, { method, body }))) {
    word.value = ''
    moving.value = false
    emit('changed')
  }
}
const missed = computed(() => props.assignment.handIn?.checks?.some(c => !c.passed) ?? false)
</script>

<template>
  <section class="answer" aria-label="Your word on it">
    <PlanSummary v-if="assignment.plan" :plan="assignment.plan" :wheel="assignment.settings.wheel" />
    <p v-if="assignment.studies" class="quiet">
      {{ countWord(assignment.studies) }} {{ assignment.studies === 1 ? 'study' : 'studies' }} before it
    </p>
    <template v-if="assignment.handIn && !assignment.confirmedAt">
      <v-textarea v-model="word" label="A word with it" rows="2" maxlength="500" />
      <p class="word-row">
        <v-btn
          color="primary"
          variant="flat"
          :loading="busy"
          @click="send('/confirm', 'POST', { outcome: 'confirmed', word })"
          >{{ missed ? 'Confirm it all the same' : 'Confirm the exercise' }}</v-btn
        >
        <button class="word-link" @click="send('/confirm', 'POST', { outcome: 'again', word })">
          ask for it again
        </button>
      </p>
    </template>
    <p v-if="!assignment.confirmedAt" class="word-row">
      <button class="word-link" :aria-expanded="moving" @click="moving = !moving">another day, or withdraw it</button>
      <NuxtLink class="word-link" :to="`/exercises/${assignment.id}/sheet`">its worksheets</NuxtLink>
      <NuxtLink v-if="assignment.handIn" class="word-link" :to="`/bench/${assignment.handIn.submissionId}`"
        >look at it on the bench</NuxtLink
      >
      <NuxtLink v-if="assignment.setId" class="word-link" :to="`/exercises/sets/${assignment.setId}`"
        >the others’</NuxtLink
      >
    </p>
    <form v-if="moving" class="field-stack" @submit.prevent="send('', 'PUT', { dueOn, note })">
      <v-text-field v-model="dueOn" type="date" label="Due on" />
      <v-text-field v-model="note" label="A word with it" maxlength="500" />
      <p class="word-row">
        <v-btn type="submit" :loading="busy">Put it off</v-btn>
        <button type="button" class="word-link" @click="send('/withdraw', 'POST', { note })">withdraw it</button>
      </p>
    </form>
    <p v-if="problem" role="alert">{{ problem }}</p>
  </section>
</template>

<style scoped>
.answer {
  display: grid;
  gap: 10px;
}
</style>
