<script setup lang="ts">
import { z } from 'zod'
import { questionInputSchema, type Critique } from '~~/shared/critique'
import { keptWords } from '~/utils/kept'

/** The learner's one question about a critique, and its answer. */
const props = defineProps<{ submissionId: number; critique: Critique }>()
const emit = defineEmits<{ asked: [] }>()

const kept = keptWords(useSessionStore().person.id, `question:${props.submissionId}`, z.string())
const form = reactive({ question: kept.read() ?? '' }),
  problem = ref('')
const { wrong, check } = useCheckedForm(questionInputSchema, () => form)
watch(() => form.question, kept.keep)
async function ask() {
  problem.value = ''
  const body = check()
  if (!body) return
  try {
    await api(z.object({}), `/submissions/${props.submissionId}/question`, { method: 'POST', body })
    kept.drop()
    emit('asked')
  } catch (error) {
    problem.value = messageOf(error)
  }
}
</script>

<template>
  <section aria-label="One question back">
    <template v-if="critique.questionBack">
      <h2>You asked</h2>
      <p class="question">“{{ critique.questionBack }}”</p>
      <p class="words">{{ critique.answer || 'The answer will stand here.' }}</p>
    </template>
    <form v-else novalidate @submit.prevent="ask">
      <v-textarea v-model="form.question" label="One question back" maxlength="1000" :error-messages="wrong.question" />
      <v-btn type="submit" size="small">Ask it</v-btn>
      <p v-if="problem" role="alert">{{ problem }}</p>
    </form>
  </section>
</template>

<style scoped>
form {
  display: grid;
  gap: 8px;
  justify-items: start;
}
form > .v-input {
  width: 100%;
}
</style>
