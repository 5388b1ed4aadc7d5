<script setup lang="ts">
/** The desk's shelves as tabs, each with how many pieces wait on it once that is known. */
defineProps<{
  shelves: readonly { readonly key: string; readonly label: string; readonly count?: number | string }[]
}>()
const shelf = defineModel<string>({ required: true })
</script>

<template>
  <v-tabs v-model="shelf" aria-label="Shelves">
    <v-tab v-for="s in shelves" :id="`tab-${s.key}`" :key="s.key" :value="s.key" aria-controls="shelf">
      {{ s.label }} {{ s.count ?? '' }}
    </v-tab>
  </v-tabs>
</template>
