<script setup lang="ts">
import { EXERCISES } from '~~/core/exercise'
import { assignmentListSchema, type Assignment } from '~~/shared/assignment'

definePageMeta({ whose: 'everybody' })

useHead({ title: 'Exercises · Critica' })
const session = useSessionStore()
const { data: list, problem } = useApiData(assignmentListSchema, '/assignments')
function stateOf({ confirmedAt, handIn }: Assignment): string {
  if (confirmedAt) return 'confirmed'
  if (!handIn) return 'not handed in'
  if (!handIn.checks) return 'being measured'
  return `${handIn.checks.filter(c => c.passed).length} of ${handIn.checks.length} checks reached`
}
</script>

<template>
  <div>
    <h1 class="line">
      {{
        !list
          ? '…'
          : list.length
            ? `${capital(countWord(list.length))} exercise${list.length === 1 ? '' : 's'} set.`
            : 'No exercise is set.'
      }}
    </h1>
    <p v-if="problem" role="alert">{{ problem }}</p>
    <ul v-if="list">
      <li v-for="a in list" :key="a.id">
        <NuxtLink :to="`/exercises/${a.id}`"
          ><h2>{{ EXERCISES[a.exercise].title }}</h2></NuxtLink
        >
        <p class="words">{{ EXERCISES[a.exercise].trains }}.</p>
        <p class="quiet">
          <template v-if="a.learner.id !== session.person.id">{{ a.learner.name }} · </template>due
          {{ dueWords(a.dueOn) }} · {{ stateOf(a) }}
        </p>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.line {
  margin: 20px 0 14px;
  font-size: 23px;
}
ul {
  list-style: none;
  padding: 0;
  max-width: 720px;
}
li {
  padding: 14px 0;
  border-bottom: 1px solid var(--line);
}
h2 {
  display: inline;
}
</style>
