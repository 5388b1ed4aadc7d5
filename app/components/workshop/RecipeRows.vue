<script setup lang="ts">
import { partsInWords, type ToldRecipe } from '~~/core/paint/told'

/** Recipes, each with its colour, its parts, and what is off. */
defineProps<{ recipes: readonly (ToldRecipe & { readonly label?: string })[] }>()
const workshop = useWorkshopStore()
/** Every paint that is named is one's own, or the usual white. */
function keep(recipe: ToldRecipe) {
  void workshop.keep({
    kind: 'mixture',
    hexes: [recipe.hex],
    parts: recipe.parts.map(({ name, parts }) => {
      const own = workshop.paints.find(p => p.name === name)
      return { name, masstone: own?.masstone ?? recipe.hex, tint: own?.tint ?? null, parts }
    }),
    note: ''
  })
}
</script>

<template>
  <ul class="recipes">
    <li v-for="(recipe, i) in recipes" :key="i">
      <i :style="{ background: recipe.hex }" />
      <span class="parts"
        ><b v-if="recipe.label">{{ recipe.label }}</b> {{ partsInWords(recipe.parts) }}</span
      >
      <span class="quiet" :title="`ΔE00 ${recipe.deltaE}`">{{ recipe.words }}</span>
      <button class="word-link" :disabled="workshop.busy" @click="keep(recipe)">keep</button>
    </li>
  </ul>
</template>

<style scoped>
.recipes {
  list-style: none;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: 40px 1fr auto auto;
  gap: 12px;
  align-items: center;
  padding: 6px 0;
  border-top: 1px solid var(--line);
}
i {
  height: 28px;
}
.parts b {
  font-weight: 600;
  margin-right: 6px;
}
@media (max-width: 600px) {
  li {
    grid-template-columns: 40px 1fr auto;
  }
  .quiet {
    grid-column: 2;
    grid-row: 2;
  }
}
</style>
