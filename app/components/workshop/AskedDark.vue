<script setup lang="ts">
import { usePaintAnswer } from '~/workshop/usePaintAnswer'

/** Darks without black, at the value of a black that lies flat. */
const workshop = useWorkshopStore()
const value = defineModel<number>({ required: true })
const { answer, problem } = usePaintAnswer(() => {
  const paints = [...workshop.paints],
    at = value.value
  return paints.length ? worker => worker.darks(at, paints) : null
})
const rows = computed(() => answer.value?.flatMap(d => (d.recipe ? [{ ...d.recipe, label: d.kind }] : [])) ?? [])
/** None of them gets there: said once, in the place of three times "too light". */
const short = computed(() => rows.value.length > 0 && rows.value.every(r => r.words.endsWith('too light')))
</script>

<template>
  <div>
    <h2>A dark without black</h2>
    <p class="quiet">warm, cool and neither, at value {{ value }}; blacks in your box are left out</p>
    <v-slider v-model="value" :min="4" :max="40" :step="1" label="value" aria-label="Value of the dark" hide-details />
    <RecipeRows v-if="rows.length" :recipes="short ? rows.map(r => ({ ...r, words: '' })) : rows" />
    <p v-else-if="answer" class="words">There is nothing to mix a dark of: a deep blue and a brown make one.</p>
    <p v-if="short" class="words">
      These are as dark as your paints go without black. A deeper blue, green or brown would go on.
    </p>
    <p v-if="problem" role="alert">{{ problem }}</p>
  </div>
</template>
