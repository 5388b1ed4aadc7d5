<script setup lang="ts">
import type { PieceFacts } from '~~/shared/pieces/submission'

/** What was done to a photograph before it was measured, and what to doubt in it: said where its numbers stand. */
const props = defineProps<{
  photo: PieceFacts['photo']
  /** Where it is changed; nowhere for whoever only reads. */ change?: string
}>()
const line = computed(() => {
  if (!props.photo) return ''
  return [
    props.photo.done ? `The photograph was ${props.photo.done}.` : 'It is measured as it was photographed.',
    ...props.photo.doubts
  ].join(' ')
})
</script>

<template>
  <p v-if="line || change" class="said">
    {{ line }}
    <NuxtLink v-if="change" class="word-link" :to="change">{{
      photo ? 'change it' : 'a photograph? lay it flat'
    }}</NuxtLink>
  </p>
</template>

<style scoped>
.said {
  font-size: 12px;
  line-height: 1.45;
  opacity: 0.82;
}
</style>
