<script setup lang="ts">
/** What of the file is not the picture: its transparent part, its margin; the margin can be counted in again. */
const bench = useBenchStore(),
  edits = useEditsStore(),
  wall = useWallStore()
const transparent = computed(() => bench.report?.picture.transparent ?? 0)
const margin = computed(() => Boolean(bench.report?.picture.inside))
</script>

<template>
  <p v-if="transparent > 0.005" class="note">
    {{ Math.round(100 * transparent) }} % of the file is transparent and left out of every number; its ground here is
    {{ wall.ground === 'grey' ? 'mid grey' : wall.ground }}.
  </p>
  <p v-if="margin || bench.notes.wholeFile" class="note">
    <template v-if="margin">The margin is part of the file: measured without it.</template>
    <template v-else>A margin is measured with the picture.</template>
    <button v-if="!bench.closed" class="word-link" @click="edits.note({ wholeFile: margin })">
      {{ margin ? 'count it in' : 'leave it out' }}
    </button>
  </p>
</template>

<style scoped>
.note {
  font-size: 12px;
  background: var(--l20);
  color: var(--l96);
  padding: 0 10px 3px;
}
.word-link {
  font-size: 12px;
  margin-left: 6px;
}
</style>
