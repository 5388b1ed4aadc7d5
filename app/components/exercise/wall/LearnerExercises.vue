<script setup lang="ts">
import { exerciseSet } from '~~/core/exercise'
import { assignmentListSchema } from '~~/shared/exercises/assignment'

/** One learner's exercises in a class, each a line. */
const props = defineProps<{ classId: number; learnerId: number }>()
const { data } = useApiData(assignmentListSchema, '/assignments')
const own = computed(
  () => data.value?.filter(a => a.classId === props.classId && a.learner.id === props.learnerId) ?? []
)
</script>

<template>
  <ul>
    <li v-for="a in own" :key="a.id">
      <NuxtLink :to="`/exercises/${a.id}`">{{ exerciseSet(a).title }}</NuxtLink>
      <span class="quiet"> · due {{ dueWords(a.dueOn) }} · {{ exerciseState(a) }}</span>
    </li>
  </ul>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 6px 0 10px;
}
</style>
