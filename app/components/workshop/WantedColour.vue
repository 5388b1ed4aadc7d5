<script setup lang="ts">
import { usePaintAnswer } from '~/workshop/usePaintAnswer'

/** How do I get: a wanted colour, the three best ways to it, and what would have to be bought. */
const workshop = useWorkshopStore()
const picking = ref(false),
  from = ref('')
const { answer, asking, problem } = usePaintAnswer(() => {
  const { wanted, paints } = workshop
  return wanted && paints.length ? worker => worker.recipes(wanted, [...paints]) : null
})
function picked([hex]: readonly string[]) {
  picking.value = false
  workshop.wanted = hex!
  from.value = 'picked off a picture'
}
function typed(event: Event) {
  workshop.wanted = (event.target as HTMLInputElement).value
  from.value = ''
}
const keep = () => workshop.keep({ kind: 'colour', hexes: [workshop.wanted!], parts: [], note: from.value })
</script>

<template>
  <section class="wanted" aria-labelledby="wanted-head">
    <p>
      <b id="wanted-head">What I want</b> <span class="quiet">{{ from }}</span>
    </p>
    <div class="both">
      <div>
        <label class="colour" :class="{ none: !workshop.wanted }" :style="{ background: workshop.wanted ?? undefined }">
          <input type="color" aria-label="The wanted colour" :value="workshop.wanted ?? '#777777'" @change="typed" />
          <span v-if="!workshop.wanted">choose</span>
        </label>
        <p><button class="word-link" @click="picking = true">pick it off a picture</button></p>
        <p v-if="workshop.wanted"><button class="word-link" @click="keep">keep the colour</button></p>
      </div>
      <div class="ways">
        <h2>Three ways to it</h2>
        <RecipeRows v-if="answer" :recipes="answer.recipes" :class="{ asking }" />
        <p v-else-if="!workshop.wanted" class="words">
          Choose a colour, or pick one off a picture: here is how your own paints make it.
        </p>
        <p v-else-if="asking" class="quiet">looking …</p>
        <p v-if="answer?.lacking" class="quiet">
          One paint would bring it nearer: {{ answer.lacking.pigment.name }} ({{ answer.lacking.pigment.index }},
          {{ answer.lacking.pigment.opacity }}); ΔE00 {{ answer.lacking.off }} would be left.
        </p>
        <p v-if="problem" role="alert">{{ problem }}</p>
      </div>
    </div>
    <PickDialog
      v-if="picking"
      title="Pick the colour"
      :places="['the colour you want']"
      @picked="picked"
      @leave="picking = false"
    />
  </section>
</template>

<style scoped>
.both {
  display: grid;
  grid-template-columns: 110px 1fr;
  gap: 18px;
  padding-top: 6px;
}
.colour {
  position: relative;
  display: grid;
  place-items: center;
  height: 110px;
  cursor: pointer;
}
.none {
  border: 1px dashed var(--line);
}
.colour input {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  opacity: 0;
  cursor: pointer;
}
.colour:focus-within {
  outline: 2px solid currentColor;
  outline-offset: 2px;
}
.asking {
  opacity: 0.6;
}
@media (max-width: 600px) {
  .both {
    grid-template-columns: 1fr;
  }
}
</style>
