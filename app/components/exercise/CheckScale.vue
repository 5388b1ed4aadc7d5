<script setup lang="ts">
import type { CheckResult } from '~~/core/exercise'

/** A figure against the band that is accepted. */
const props = defineProps<{ result: CheckResult }>()
/**
 * Shares are drawn to the whole, steps of value to 100, and what is counted or turned to a little past what is asked.
 */
const top = computed(() => {
  const { value, atLeast, atMost } = props.result
  return atMost <= 1 && value <= 1
    ? 1
    : atMost === 100
      ? 100
      : 1.5 * Math.max(atMost, atLeast, Math.min(value, 2 * atMost))
})
const at = (v: number): string => `${Math.min(100, (100 * v) / top.value)}%`
</script>

<template>
  <div class="scale" aria-hidden="true">
    <span class="wanted" :style="{ left: at(result.atLeast), right: `calc(100% - ${at(result.atMost)})` }" />
    <span class="found" :style="{ left: at(result.value) }" />
  </div>
</template>

<style scoped>
.scale {
  position: relative;
  height: 8px;
  background: var(--l80);
  margin-top: 6px;
}
.wanted {
  position: absolute;
  top: 0;
  bottom: 0;
  background: var(--l60);
}
.found {
  position: absolute;
  top: -3px;
  bottom: -3px;
  width: 3px;
  margin-left: -1px;
  background: var(--accent);
}
</style>
