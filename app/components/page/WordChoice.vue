<script setup lang="ts">
import type { Choice } from './ChoiceGroup.vue'

/** One of a few words in a row, the chosen one underlined. */
defineProps<{ label: string; choices: readonly Choice[] }>()
const chosen = defineModel<string | null>({ required: true })
</script>

<template>
  <ChoiceGroup v-slot="{ choice }" v-model="chosen" :label="label" :choices="choices" class="word-choice">{{
    choice.label
  }}</ChoiceGroup>
</template>

<style scoped>
.word-choice {
  flex-wrap: wrap;
  gap: 4px 18px;
  color: var(--quiet);
}
.word-choice :deep(label) {
  border-bottom: 2px solid transparent;
}
.word-choice :deep(.chosen) {
  color: var(--ink);
  border-color: var(--accent);
}
</style>
