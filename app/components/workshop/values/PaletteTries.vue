<script setup lang="ts">
import type { MassMap } from '~~/core/masses/masses'
import { partsInWords } from '~~/core/paint/told'
import { usePaintAnswer } from '~/workshop/usePaintAnswer'

/** Five limited palettes of one's own paints on the same masses. */
const props = defineProps<{ map: MassMap }>()
const workshop = useWorkshopStore()
const { answer, asking, problem } = usePaintAnswer(() => {
  const lights = props.map.masses.map(m => m.light),
    paints = [...workshop.paints],
    { wheel } = workshop
  return paints.length ? worker => worker.palettes(lights, paints, wheel) : null
})
const hexes = (i: number): string[] => answer.value![i]!.masses.map(m => m.hex)
const palette = (i: number) =>
  workshop.keep({ kind: 'palette', hexes: hexes(i), parts: [], note: answer.value![i]!.paints.join(', ') })
</script>

<template>
  <div>
    <p v-if="workshop.loaded && !workshop.paints.length" class="words">
      List your paints first, <NuxtLink to="/workshop">in the workshop</NuxtLink>: palettes are made of what you have.
    </p>
    <p v-else-if="answer && !answer.length" class="words">
      Your box is too small for a choice: three colours are needed.
    </p>
    <p v-else-if="asking && !answer" class="quiet">mixing …</p>
    <div class="tries">
      <figure v-for="(tried, i) in answer" :key="tried.title">
        <MassCanvas :map="map" :hexes="hexes(i)" :label="tried.title" />
        <figcaption>
          <b>{{ tried.title }}</b>&ensp;
          <span class="quiet"> {{ tried.paints.join(', ') }}</span>
          <ul>
            <li v-for="(mass, k) in tried.masses" :key="k">
              <i :style="{ background: mass.hex }" /> {{ partsInWords(mass.parts) }}
            </li>
          </ul>
          <KeepTry :map="map" :hexes="hexes(i)" :name="tried.title.replaceAll(' ', '-')" />
          <button class="word-link" :disabled="workshop.busy" @click="palette(i)">into the swatch book</button>
        </figcaption>
      </figure>
    </div>
    <p v-if="problem" role="alert">{{ problem }}</p>
  </div>
</template>

<style scoped>
.tries {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(340px, 1fr));
  gap: 22px;
}
figcaption {
  padding-top: 6px;
}
ul {
  list-style: none;
  padding: 4px 0;
  font-size: 13px;
}
i {
  display: inline-block;
  width: 26px;
  height: 12px;
  margin-right: 6px;
}
@media (max-width: 640px) {
  .tries {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
