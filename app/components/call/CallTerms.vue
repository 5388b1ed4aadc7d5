<script setup lang="ts">
import { format, subSeconds } from 'date-fns'
import { ORDER_WORDS, RETURNED_WORDS, type OpenCall } from '~~/shared/call'

/** What is asked, until when, and what comes back: what a guest wants to know before they paint. */
const props = defineProps<{ call: OpenCall }>()
const day = (iso: string): string => format(new Date(iso), 'd MMMM')
const facts = computed(() => {
  const { opensAt, closesAt, perPerson, most, ordered, seed, returned } = props.call
  return [
    `Open from ${day(opensAt)} to ${day(subSeconds(new Date(closesAt), 1).toISOString())}.`,
    `${perPerson === 1 ? 'One piece' : `Up to ${countWord(perPerson)} pieces`} a person; ${most} are looked at.`,
    ordered === 'lot'
      ? `Lots are drawn once it is closed, by the number ${seed}: anybody can draw them again.`
      : `${ORDER_WORDS[ordered][0]!.toUpperCase()}${ORDER_WORDS[ordered].slice(1)}.`,
    `What comes back is ${RETURNED_WORDS[returned]}.`
  ]
})
</script>

<template>
  <div class="terms">
    <p class="asked">{{ call.asked }}</p>
    <p class="quiet">With {{ call.instructors }}. {{ facts.join(' ') }}</p>
  </div>
</template>

<style scoped>
.terms {
  display: grid;
  gap: 8px;
}
.asked {
  font-family: var(--serif, serif);
  font-size: 18px;
  line-height: 1.45;
  white-space: pre-line;
}
</style>
