<script setup lang="ts">
import { describeTarget, type Target } from '~~/core/critique/target'
import type { EffectNumbers } from '~~/core/trial/effect'

/** What a trial does to the numbers, and whether the correction's target is reached by it. */
const props = defineProps<{ before: EffectNumbers | null; after: EffectNumbers | null; target: Target | null }>()

const number = (n: number | null, times = 1): string => (n === null ? '–' : String(Math.round(n * times)))
const rows = computed(() => {
  const from = props.before,
    to = props.after
  if (!from || !to) return []
  return (
    [
      ['range', 'range', 1],
      ['separation', 'from its surroundings', 1],
      ['temperature', 'temperature', 1],
      ['coverage', 'colour in the scheme, %', 100]
    ] as const
  )
    .filter(([name]) => from[name] !== null && to[name] !== null)
    .map(([name, words, times]) => ({ words, before: number(from[name], times), after: number(to[name], times) }))
})
const reached = computed(() => props.after?.target?.reached ?? null)
</script>

<template>
  <BeforeAfter :rows="rows" />
  <p v-if="target && reached !== null" role="status" class="reached">
    {{ reached ? 'The target is reached' : 'Not yet' }}: {{ describeTarget(target) }}.
  </p>
</template>

<style scoped>
.reached {
  color: var(--panel-ink);
  font-weight: 600;
}
</style>
