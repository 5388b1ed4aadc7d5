<script setup lang="ts">
import { assignmentListSchema } from '~~/shared/exercises/assignment'

definePageMeta({ whose: 'everybody' })

/** What somebody has to do, what they have set, and the shelf that it is taken from. */
useHead({ title: 'Exercises · Critica' })
const session = useSessionStore()
const { data: list, problem, refresh } = useApiData(assignmentListSchema, '/assignments')
const own = computed(() => list.value?.filter(a => a.learner.id === session.person.id && !a.withdrawnAt) ?? [])
const set = computed(() => list.value?.filter(a => a.learner.id !== session.person.id && !a.withdrawnAt) ?? [])
const open = computed(() => own.value.filter(a => !a.confirmedAt).length)
const back = computed(() => set.value.filter(a => a.handIn && !a.confirmedAt && !a.returnedAt).length)
const line = computed(() => {
  if (!list.value) return '…'
  if (teaches(session.person))
    return back.value
      ? `${capital(countWord(back.value))} hand-in${back.value === 1 ? ' waits' : 's wait'} for your word.`
      : 'Nothing waits for your word.'
  return open.value
    ? `${capital(countWord(open.value))} exercise${open.value === 1 ? '' : 's'} to do.`
    : 'No exercise is open.'
})
</script>

<template>
  <div class="exercises">
    <h1 class="line">{{ line }}</h1>
    <p v-if="problem" role="alert">{{ problem }}</p>
    <OwnExercises v-if="own.length" :exercises="own" />
    <template v-if="teaches(session.person)">
      <SetExercises v-if="set.length" :exercises="set" />
      <LazyExerciseShelf @set="refresh" />
    </template>
  </div>
</template>

<style scoped>
.exercises {
  display: grid;
  gap: 26px;
}
.line {
  margin-top: 20px;
  font-size: 23px;
}
</style>
