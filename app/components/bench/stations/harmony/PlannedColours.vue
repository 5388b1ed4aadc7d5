<script setup lang="ts">
import { assignmentSchema } from '~~/shared/exercises/assignment'

/** What the learner planned for the exercise that this piece answers, beside what was painted. */
const bench = useBenchStore()
const { data: assignment } = useApiData(assignmentSchema, () =>
  bench.piece.assignmentId === null ? null : `/assignments/${bench.piece.assignmentId}`
)
</script>

<template>
  <section v-if="assignment?.plan" class="planned" aria-label="The plan">
    <PlanSummary :plan="assignment.plan" :wheel="assignment.settings.wheel" />
    <p v-if="assignment.plan.goal" class="words">“{{ assignment.plan.goal }}”</p>
  </section>
</template>

<style scoped>
.planned {
  display: grid;
  gap: 6px;
  padding: 8px 0;
  font-size: 13px;
}
</style>
