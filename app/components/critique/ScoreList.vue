<script setup lang="ts">
import { scoreRubric } from '~~/core/critique/rubric'
import type { Scored } from '~~/shared/score'

/** What was scored, quality by quality, and the sum. */
const props = defineProps<{ score: Scored }>()
const result = computed(() => scoreRubric(Object.values(props.score.scores)))
const rows = computed(() =>
  props.score.qualities.flatMap(({ key, title }) => {
    const given = props.score.scores[key]
    return given === undefined ? [] : [{ key, title, given: given === 'not-applicable' ? '–' : given }]
  })
)
</script>

<template>
  <section v-if="result" aria-label="Score">
    <h2>Score: {{ result.percent }} %</h2>
    <p class="quiet">{{ result.sum }} of {{ result.most }}, over what was scored.</p>
    <ul>
      <li v-for="r in rows" :key="r.key">
        <span>{{ r.title }}</span><b>{{ r.given }}</b>
      </li>
    </ul>
  </section>
</template>

<style scoped>
h2 {
  margin-bottom: 4px;
}
ul {
  list-style: none;
  padding: 0;
}
li {
  display: flex;
  justify-content: space-between;
  padding: 2px 0;
}
</style>
