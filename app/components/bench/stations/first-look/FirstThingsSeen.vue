<script setup lang="ts">
/** After the first look is taken, and not before: it cannot be repeated. */
const bench = useBenchStore()
</script>

<template>
  <FirstThings v-if="!bench.unseen" />
</template>
