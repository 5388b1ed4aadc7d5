<script setup lang="ts">
import type { Shelf } from '~~/shared/pieces/submission'

/** The desk's shelves as tabs, each with how many pieces it holds once that is known. */
defineProps<{
  shelves: readonly { readonly key: Shelf; readonly label: string }[]
  counts: Readonly<Record<Shelf, number>> | undefined
}>()
const shelf = defineModel<Shelf>({ required: true })
</script>

<template>
  <v-tabs v-model="shelf" aria-label="Shelves">
    <v-tab v-for="s in shelves" :id="`tab-${s.key}`" :key="s.key" :value="s.key" aria-controls="shelf">
      {{ s.label }} {{ counts?.[s.key] ?? '' }}
    </v-tab>
  </v-tabs>
</template>
