<script setup lang="ts">
import { z } from 'zod'
import { exerciseSet } from '~~/core/exercise'
import { USUAL_AMOUNTS, type Amounts } from '~~/core/exercise/plan/plan'
import { SCHEME_WORDS, SCHEMES, type SectorScheme } from '~~/core/wheel/schemes'
import { assignmentSchema, planSchema } from '~~/shared/exercises/assignment'

/** Planning a piece before it is begun: what it will be, in which colours, in which amounts. */
definePageMeta({ whose: ['learner'] })

const id = Number(useRoute().params.id)
const { data: assignment, problem: unread } = useApiData(assignmentSchema, `/assignments/${id}`)
useHead({ title: 'Plan · Critica' })
const form = reactive({
  subject: '',
  goal: '',
  scheme: 'complementary' as SectorScheme,
  hue: 240,
  amounts: USUAL_AMOUNTS as Amounts
})
const exercise = computed(() => assignment.value && exerciseSet(assignment.value))
watch(
  assignment,
  a => {
    if (!a) return
    if (a.plan) Object.assign(form, a.plan)
    else {
      form.scheme = exerciseSet(a).plan ?? form.scheme
      form.hue = a.settings.hue ?? form.hue
    }
  },
  { immediate: true }
)
const wheel = computed(() => assignment.value?.settings.wheel ?? 'painter')
const given = computed(() => assignment.value?.settings.hue ?? null)
const schemes = SCHEMES.map(s => ({ value: s.name, title: SCHEME_WORDS[s.name] }))
const { wrong, check } = useCheckedForm(planSchema, () => form),
  { problem, busy, act } = useAct()
async function keep() {
  const body = check()
  if (body && (await act(() => api(z.object({}), `/assignments/${id}/plan`, { method: 'PUT', body }))))
    await navigateTo(`/exercises/${id}`)
}
</script>

<template>
  <p v-if="unread && !assignment" role="alert" class="alone">{{ unread }}</p>
  <form v-else-if="assignment && exercise" class="plan" novalidate @submit.prevent="keep">
    <header>
      <NuxtLink :to="`/exercises/${id}`" class="quiet">{{ exercise.title }}</NuxtLink>
      <h1>Plan it first</h1>
    </header>
    <div class="field-stack words-side">
      <v-text-field v-model="form.subject" label="What will it be?" maxlength="200" :error-messages="wrong.subject" />
      <v-textarea
        v-model="form.goal"
        label="What do you want to find out?"
        rows="2"
        maxlength="300"
        :error-messages="wrong.goal"
      />
      <v-select v-if="!exercise.plan" v-model="form.scheme" :items="schemes" label="Colour scheme" />
      <PlanWheel v-model="form.hue" :wheel="wheel" :scheme="form.scheme" :fixed="given !== null" />
    </div>
    <div class="colours">
      <PlanStrips :wheel="wheel" :scheme="form.scheme" :hue="form.hue" />
      <PlanAmounts v-model="form.amounts" :wheel="wheel" :scheme="form.scheme" :hue="form.hue" />
      <p v-if="wrong.amounts" role="alert">{{ wrong.amounts }}</p>
      <p v-if="problem" role="alert">{{ problem }}</p>
      <v-btn type="submit" color="primary" variant="flat" :loading="busy">Keep the plan</v-btn>
    </div>
  </form>
</template>

<style scoped>
.plan {
  display: grid;
  grid-template-columns: 360px minmax(0, 1fr);
  gap: 20px 48px;
  padding-top: 20px;
  align-items: start;
}
header {
  grid-column: 1 / -1;
}
.colours {
  display: grid;
  gap: 20px;
  justify-items: start;
}
.alone {
  padding-top: 24px;
}
@media (max-width: 900px) {
  .plan {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
