<script setup lang="ts">
/** A number set by sliding, or by arrow keys: the browser's own control in the bench's grey. */
defineProps<{ low: number; high: number; step: number; label: string }>()
const value = defineModel<number>({ required: true })
</script>

<template>
  <input v-model.number="value" type="range" :min="low" :max="high" :step="step" :aria-label="label" />
</template>

<style scoped>
input {
  accent-color: var(--l96);
  min-width: 0;
}
</style>
