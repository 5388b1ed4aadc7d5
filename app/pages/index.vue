<script setup lang="ts">
// Everybody is sent on from here to where their work begins.
definePageMeta({ whose: [] })
</script>

<template><div /></template>
