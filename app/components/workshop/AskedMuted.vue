<script setup lang="ts">
import { usePaintAnswer } from '~/workshop/usePaintAnswer'

/** A hue taken to grey through its opposite, its value standing still. */
const workshop = useWorkshopStore()
const paint = computed(() => workshop.paints.find(p => p.id === workshop.chosen) ?? null)
const { answer, asking, problem } = usePaintAnswer(() => {
  const paints = [...workshop.paints],
    place = paints.findIndex(p => p.id === workshop.chosen)
  return place >= 0 ? worker => worker.muted(place, paints) : null
})
</script>

<template>
  <div>
    <h2>{{ paint ? `From ${paint.name} to grey, through its opposite` : 'Muted on purpose' }}</h2>
    <p v-if="!paint" class="words">
      Press a paint at the left: here are even steps to its grey, mixed from what you own.
    </p>
    <template v-else-if="answer">
      <p class="quiet">value held at {{ Math.round(answer.value) }}; parts are of the brush, not of light</p>
      <div class="strip"><i v-for="(s, k) in answer.steps" :key="k" :style="{ background: s.hex }" /></div>
      <RecipeRows :recipes="answer.steps" />
    </template>
    <p v-else-if="asking" class="quiet">looking …</p>
    <p v-else class="words">A white is mixed into everything already. Press a colour.</p>
    <p v-if="problem" role="alert">{{ problem }}</p>
  </div>
</template>

<style scoped>
.strip {
  display: flex;
  padding: 10px 0;
}
.strip i {
  flex: 1;
  height: 110px;
}
</style>
