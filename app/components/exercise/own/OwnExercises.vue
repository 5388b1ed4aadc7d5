<script setup lang="ts">
import { exerciseSet } from '~~/core/exercise'
import type { Assignment } from '~~/shared/exercises/assignment'

/** A learner's own exercises: what is open first, by the day it is due. */
const props = defineProps<{ exercises: readonly Assignment[] }>()
const sorted = computed(() =>
  [...props.exercises].sort((p, q) => Number(Boolean(p.confirmedAt)) - Number(Boolean(q.confirmedAt)))
)
</script>

<template>
  <ul>
    <li v-for="a in sorted" :key="a.id">
      <NuxtLink :to="`/exercises/${a.id}`"
        ><h2>{{ exerciseSet(a).title }}</h2></NuxtLink
      >
      <p class="words">{{ exerciseSet(a).trains }}.</p>
      <p class="quiet">
        <template v-if="a.settings.hue !== null">key colour <KeyColour :settings="a.settings" /> · </template>
        <template v-if="!a.confirmedAt">due {{ dueWords(a.dueOn) }} · </template>{{ exerciseState(a) }}
      </p>
    </li>
  </ul>
</template>

<style scoped>
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
