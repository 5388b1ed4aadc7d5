<script setup lang="ts">
import type { Figure } from '~~/core/critique/reading'

/** A number against its standard: a filled bar, and a tick where the standard stands. */
const props = defineProps<{ figure: Figure }>()
const at = (v: number): string =>
  `${Math.min(100, Math.max(0, (100 * (v - props.figure.low)) / (props.figure.high - props.figure.low)))}%`
</script>

<template>
  <div class="bar" role="img" :aria-label="figure.label">
    <div class="fill" :style="{ width: at(figure.value) }" />
    <div class="tick" :style="{ left: at(figure.standard) }" />
  </div>
</template>

<style scoped>
.bar {
  position: relative;
  height: 6px;
  background: var(--l40);
  margin: 8px 0 6px;
}
.fill {
  height: 100%;
  background: var(--l96);
}
.tick {
  position: absolute;
  top: -3px;
  bottom: -3px;
  width: 2px;
  background: var(--l100);
  outline: 1px solid var(--l20);
}
</style>
