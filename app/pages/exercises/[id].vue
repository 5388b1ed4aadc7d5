<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { z } from 'zod'
import { EXERCISES } from '~~/core/exercise'
import { assignmentSchema } from '~~/shared/assignment'

definePageMeta({ whose: 'everybody' })

const id = Number(useRoute().params.id)
const session = useSessionStore()
const { data: assignment, problem: unread, refresh } = useApiData(assignmentSchema, `/assignments/${id}`)
const unconfirmed = ref(''),
  problem = computed(() => unconfirmed.value || unread.value)
const own = computed(() => assignment.value?.learner.id === session.person.id)
const exercise = computed(() => EXERCISES[assignment.value!.exercise])
useHead({ title: () => `${assignment.value ? exercise.value.title : 'Exercise'} · Critica` })
useIntervalFn(() => {
  if (assignment.value?.handIn && !assignment.value.handIn.checks) void refresh()
}, 1200)

const checks = computed(() => assignment.value?.handIn?.checks ?? null)
const verdict = computed(() => {
  if (!checks.value) return ''
  const open = checks.value.filter(c => !c.passed).length
  return open === 0
    ? 'All checks are reached.'
    : open === checks.value.length
      ? 'None of the checks is reached yet.'
      : `${capital(countWord(open))} of ${countWord(checks.value.length)} checks ${open === 1 ? 'is' : 'are'} not reached yet.`
})
async function confirm() {
  try {
    await api(z.object({}), `/assignments/${id}/confirm`, { method: 'POST' })
    unconfirmed.value = ''
    await refresh()
  } catch (error) {
    unconfirmed.value = messageOf(error)
  }
}
</script>

<template>
  <p v-if="!assignment && problem" role="alert" class="alone">{{ problem }}</p>
  <article v-else-if="assignment" class="exercise">
    <div class="wall">
      <img
        v-if="assignment.handIn"
        :src="`/api/submissions/${assignment.handIn.submissionId}/picture/display`"
        alt="The picture handed in"
      />
      <p v-else>Nothing is handed in yet.</p>
    </div>
    <div class="text">
      <h1>{{ exercise.title }}</h1>
      <p class="words">{{ exercise.trains }}.</p>
      <p class="quiet">
        <template v-if="!own">{{ assignment.learner.name }} · </template>from the critique of “{{
          assignment.fromTitle
        }}” · due
        {{ dueWords(assignment.dueOn) }}
      </p>
      <p v-if="problem" role="alert">{{ problem }}</p>
      <section aria-label="Result">
        <h2>{{ checks ? verdict : assignment.handIn ? 'Being measured …' : 'What is checked' }}</h2>
        <CheckList :checks="exercise.checks" :results="checks" />
      </section>
      <p v-if="assignment.confirmedAt" class="words">
        Confirmed by the instructor on {{ dayWords(assignment.confirmedAt) }}.
      </p>
      <v-btn v-else-if="!own && assignment.handIn" color="primary" variant="flat" @click="confirm"
        >Confirm the exercise</v-btn
      >
      <v-btn v-else-if="own" :to="`/hand-in?exercise=${id}`" color="primary" variant="flat">{{
        assignment.handIn ? 'Hand in again' : 'Hand in the exercise'
      }}</v-btn>
      <section aria-label="How">
        <h2>How</h2>
        <ol class="words steps">
          <li v-for="step in exercise.steps" :key="step">{{ step }}</li>
        </ol>
        <p class="quiet">
          Paints, mediums and cleaners: follow the product’s label and your room’s rules; children use only materials
          labelled for them.
        </p>
      </section>
    </div>
  </article>
</template>

<style scoped>
.exercise {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 400px;
  gap: 36px;
  align-items: start;
  padding-top: 24px;
}
.wall {
  background: var(--wall);
  color: var(--l0);
  padding: 32px;
  display: grid;
  place-items: center;
  min-height: 420px;
}
img {
  max-width: 100%;
  max-height: 70vh;
}
.text {
  display: grid;
  gap: 16px;
  justify-items: start;
}
.text > section {
  width: 100%;
}
h2 {
  margin-bottom: 8px;
}
.steps {
  padding-left: 20px;
  display: grid;
  gap: 6px;
  margin-bottom: 10px;
}
.alone {
  padding-top: 24px;
}
@media (max-width: 900px) {
  .exercise {
    grid-template-columns: 1fr;
  }
}
@media (max-width: 600px) {
  .wall {
    padding: 10px;
    min-height: 120px;
  }
}
</style>
