<script setup lang="ts">
definePageMeta({
  layout: 'bench',
  whose: ['instructor', 'assistant'],
  middleware: to => navigateTo(`/bench/${String(to.params.id)}/first-look`, { replace: true })
})
</script>

<template><div /></template>
