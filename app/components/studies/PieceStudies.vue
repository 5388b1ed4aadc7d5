<script setup lang="ts">
import { keptStudyListSchema } from '~~/shared/pieces/study'

/** The small versions before a piece; nothing where there are none. */
const props = defineProps<{ submissionId: number }>()
const { data: studies } = useApiData(keptStudyListSchema, `/submissions/${props.submissionId}/studies`)
</script>

<template>
  <section v-if="studies?.length" aria-label="Studies before it">
    <h3>Studies before it</h3>
    <StudyStrip :studies="studies" />
  </section>
</template>

<style scoped>
h3 {
  font-family: var(--sans);
  font-size: 13px;
  font-weight: 600;
  margin-bottom: 6px;
}
</style>
