<script setup lang="ts">
/** A colour that leads to its recipes. */
defineProps<{ hex: string }>()
</script>

<template>
  <NuxtLink
    :to="{ path: '/workshop', query: { want: hex.slice(1) } }"
    :style="{ background: hex }"
    title="how do I get it"
    :aria-label="`How do I get ${hex}`"
  />
</template>
