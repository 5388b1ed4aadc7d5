<script setup lang="ts">
/** What its maker says the piece is about: what the focus is held to. */
const bench = useBenchStore()
</script>

<template>
  <p v-if="bench.piece.about" class="about">About: {{ bench.piece.about }}.</p>
</template>

<style scoped>
.about {
  font-family: var(--serif);
  font-style: italic;
  font-size: 15px;
  padding: 8px 0 0;
  color: var(--panel-quiet);
}
</style>
