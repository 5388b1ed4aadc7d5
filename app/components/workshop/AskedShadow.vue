<script setup lang="ts">
import { shadowOf } from '~~/core/paint/asked/shadow'
import { usePaintAnswer } from '~/workshop/usePaintAnswer'

/** A paint under a picture's own light: what the picture does from light to shadow is done to the paint. */
const workshop = useWorkshopStore()
const picking = ref(false),
  light = shallowRef<{ lit: string; shade: string } | null>(null),
  problem = ref('')
const paint = computed(() => workshop.paints.find(p => p.id === workshop.chosen) ?? null)
const found = computed(() => {
  if (!paint.value || !light.value) return null
  return shadowOf(paint.value.masstone, light.value)
})
function picked([lit, shade]: readonly string[]) {
  picking.value = false
  problem.value = ''
  if (!lit || !shade) return
  try {
    shadowOf(lit, { lit, shade })
    light.value = { lit, shade }
  } catch (error) {
    problem.value = (error as Error).message
  }
}
const { answer } = usePaintAnswer(() => {
  const hex = found.value?.hex,
    paints = [...workshop.paints]
  return hex ? worker => worker.recipes(hex, paints) : null
})
const warmth = computed(() => {
  const by = Math.round(found.value?.warmer ?? 0)
  return Math.abs(by) < 5 ? 'hardly another temperature' : by > 0 ? `warmer by ${by}` : `cooler by ${-by}`
})
</script>

<template>
  <div>
    <h2>{{ paint ? `${capital(paint.name)} in shadow` : 'Shadow colour' }}</h2>
    <p class="words">
      <template v-if="!light">Pick one thing of a picture twice, in its light and in its shadow:</template>
      <template v-else-if="!paint">Now press a paint at the left.</template>
      <button class="word-link" @click="picking = true">{{ light ? 'another light' : 'pick it off a picture' }}</button>
    </p>
    <p v-if="light" class="pair">
      <i :style="{ background: light.lit }" /><i :style="{ background: light.shade }" />
      <span class="quiet">what the picture does from light to shadow</span>
    </p>
    <template v-if="paint && found">
      <p class="pair large">
        <i :style="{ background: paint.masstone }" /><i :style="{ background: found.hex }" />
        <span class="quiet">{{ warmth }}</span>
      </p>
      <RecipeRows v-if="answer" :recipes="answer.recipes" />
    </template>
    <p v-if="problem" role="alert">{{ problem }}</p>
    <PickDialog
      v-if="picking"
      title="Light and shadow of one thing"
      :places="['a thing where it is lit', 'the same thing in its shadow']"
      @picked="picked"
      @leave="picking = false"
    />
  </div>
</template>

<style scoped>
.pair {
  display: flex;
  align-items: center;
  padding: 6px 0;
}
i {
  width: 60px;
  height: 30px;
}
.large i {
  width: 150px;
  height: 90px;
}
.quiet {
  padding-left: 12px;
}
</style>
