<script setup lang="ts">
import { useClipboard } from '@vueuse/core'

/** A link to be handed on: it opens one account, once. */
defineProps<{ link: string; name: string }>()
const { copy, copied } = useClipboard({ legacy: true })
</script>

<template>
  <p class="handed">
    <code>{{ link }}</code>
    <button class="word-link" @click="copy(link)">{{ copied ? 'copied' : 'copy it' }}</button>
    <span class="quiet">For {{ name }} alone: whoever opens it first is in. It opens once.</span>
  </p>
</template>

<style scoped>
.handed {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  align-items: baseline;
}
code {
  font-family: var(--sans);
  overflow-wrap: anywhere;
  user-select: all;
}
</style>
