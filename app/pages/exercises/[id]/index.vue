<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { checksOf, exerciseSet, PLAIN_SETTINGS } from '~~/core/exercise'
import { careFor } from '~~/core/exercise/care'
import { assignmentSchema } from '~~/shared/exercises/assignment'

definePageMeta({ whose: 'everybody' })

const id = Number(useRoute().params.id)
const session = useSessionStore()
const { data: assignment, problem, refresh } = useApiData(assignmentSchema, `/assignments/${id}`)
const own = computed(() => assignment.value?.learner.id === session.person.id)
const exercise = computed(() => exerciseSet(assignment.value!))
useHead({ title: () => `${assignment.value ? exercise.value.title : 'Exercise'} · Critica` })
useIntervalFn(() => {
  if (assignment.value?.handIn && !assignment.value.handIn.checks) void refresh()
}, 1200)

const settings = computed(() => assignment.value?.settings ?? PLAIN_SETTINGS)
const asked = computed(() =>
  assignment.value ? checksOf(assignment.value, settings.value, assignment.value.plan !== null) : []
)
const results = computed(() => assignment.value?.handIn?.checks ?? null)
/** The check that is shown on the picture. */
const shown = ref<string | null>(null)
const wall = computed(() => {
  const { handIn } = assignment.value!
  return shown.value
    ? apiAt(`/assignments/${id}/evidence/${shown.value}?of=${handIn!.submissionId}`)
    : apiAt(`/submissions/${handIn!.submissionId}/picture/display`)
})
const verdict = computed(() => {
  if (!results.value) return ''
  const missed = results.value.filter(c => !c.passed).length
  return missed === 0
    ? 'All checks are reached.'
    : missed === results.value.length
      ? 'None of the checks is reached yet.'
      : `${capital(countWord(missed))} of ${countWord(results.value.length)} checks`
        + ` ${missed === 1 ? 'is' : 'are'} not reached yet.`
})
</script>

<template>
  <p v-if="!assignment && problem" role="alert" class="alone">{{ problem }}</p>
  <article v-else-if="assignment" class="exercise">
    <div class="wall">
      <img
        v-if="assignment.handIn"
        :src="wall"
        :alt="shown ? 'What the check stands on, on the picture' : 'The picture handed in'"
      />
      <WorksheetPicture
        v-else
        :src="apiAt(`/assignments/${id}/worksheet?as=svg`)"
        label="The worksheet"
        class="sheet"
      />
    </div>
    <div class="text">
      <h1>{{ exercise.title }}</h1>
      <p class="words">{{ exercise.trains }}.</p>
      <p class="quiet">
        <template v-if="!own">{{ assignment.learner.name }} · </template>
        <template v-if="assignment.from">from the critique of “{{ assignment.from.title }}” · </template>
        <template v-if="settings.hue !== null">key colour <KeyColour :settings="settings" /> · </template>
        due {{ dueWords(assignment.dueOn) }}
        <template v-if="own && !assignment.confirmedAt">
          · <a class="word-link" :href="apiAt(`/assignments/${id}/calendar`)">into my calendar</a></template
        >
      </p>
      <p v-if="assignment.note" class="words">{{ assignment.note }}</p>
      <p v-if="problem" role="alert">{{ problem }}</p>
      <section v-if="assignment.handIn" aria-label="Result">
        <h2>{{ results ? verdict : 'Being measured …' }}</h2>
        <CheckList v-model:shown="shown" :checks="asked" :settings="settings" :results="results" shows />
      </section>
      <p v-if="assignment.withdrawnAt" role="status">It was withdrawn: nothing is asked for any more.</p>
      <p v-else-if="assignment.confirmedAt" class="words">
        Confirmed by the instructor on {{ dayWords(assignment.confirmedAt) }}. {{ assignment.answer }}
      </p>
      <p v-else-if="assignment.returnedAt" class="words" role="status">To be done again. {{ assignment.answer }}</p>
      <template v-if="!assignment.withdrawnAt">
        <LazyOwnActs v-if="own" :assignment="assignment" @changed="refresh" />
        <LazyHandInAnswer v-else :assignment="assignment" @changed="refresh" />
      </template>
      <section v-if="!assignment.handIn" aria-label="What is checked">
        <h2>What is checked</h2>
        <CheckList :checks="asked" :settings="settings" :results="null" />
      </section>
      <section aria-label="How">
        <h2>How</h2>
        <ol class="words steps">
          <li v-for="step in exercise.steps" :key="step">{{ step }}</li>
        </ol>
        <p v-for="sentence in careFor(settings.medium, exercise.cuts)" :key="sentence" class="quiet">{{ sentence }}</p>
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
  max-height: 76vh;
}
.sheet {
  width: min(100%, calc(76vh * 210 / 297));
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
    grid-template-columns: minmax(0, 1fr);
  }
  /* What is to be done comes before the sheet that it can be printed from. */
  .wall:has(.sheet) {
    order: 1;
  }
}
@media (max-width: 600px) {
  .wall {
    padding: 10px;
    min-height: 120px;
  }
}
</style>
