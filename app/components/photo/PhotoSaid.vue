<script setup lang="ts">
import type { PieceFacts } from '~~/shared/pieces/submission'

/** What was done to a photograph before it was measured, and what to doubt in it: said where its numbers stand. */
const props = defineProps<{ photo: NonNullable<PieceFacts['photo']> }>()
const line = computed(() =>
  props.photo.done ? `The photograph was ${props.photo.done}.` : 'It is measured as it was photographed.'
)
</script>

<template>
  <p class="said">{{ [line, ...photo.doubts].join(' ') }}</p>
</template>

<style scoped>
.said {
  font-size: 12px;
  line-height: 1.45;
  opacity: 0.82;
}
</style>
