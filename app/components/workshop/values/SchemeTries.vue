<script setup lang="ts">
import { inScheme, oneHue, VARIANTS } from '~~/core/masses/colours'
import type { MassMap } from '~~/core/masses/masses'
import { SCHEME_WORDS, SCHEMES, type SectorScheme } from '~~/core/wheel/schemes'
import type { WheelName } from '~~/core/wheel/steps'
import { stepAt } from '~~/core/wheel/wheel'
import { stepWords } from '~~/core/critique/words'

/** One hue first; then the same values in a scheme, three ways, while the key colour is dragged. */
const props = defineProps<{ map: MassMap; wheel: WheelName }>()
const scheme = ref<SectorScheme>('complementary'),
  hue = ref(210)
const schemes = SCHEMES.map(s => ({ title: SCHEME_WORDS[s.name], value: s.name }))
const plain = computed(() => oneHue(props.map.masses, props.wheel, hue.value)),
  variants = computed(() =>
    Array.from({ length: VARIANTS }, (_, v) =>
      inScheme(props.map.masses, { wheel: props.wheel, scheme: scheme.value, hue: hue.value }, v)
    )
  )
const values = computed(() => props.map.masses.map(m => Math.round(m.value)).join(' · '))
</script>

<template>
  <div class="tries">
    <div class="set">
      <v-select v-model="scheme" :items="schemes" label="Scheme" />
      <label class="key">
        <span>Key colour: {{ stepWords(stepAt(wheel, hue)) }}</span>
        <SlideBar v-model="hue" :low="0" :high="359" :step="1" label="Key colour, degrees of the wheel" />
      </label>
      <p class="quiet">values stand at {{ values }}</p>
    </div>
    <figure>
      <MassCanvas :map="map" :hexes="plain" label="In one hue" />
      <figcaption>in one hue</figcaption>
    </figure>
    <figure v-for="(hexes, v) in variants" :key="v">
      <MassCanvas :map="map" :hexes="hexes" :label="`In the scheme, ${v + 1}`" />
      <figcaption>
        <span class="chips">
          <WantLink v-for="hex in hexes" :key="hex" :hex="hex" />
        </span>
        <KeepTry :map="map" :hexes="hexes" :name="`in-colour-${v + 1}`" />
      </figcaption>
    </figure>
  </div>
</template>

<style scoped>
.tries {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 20px;
}
.set {
  grid-column: 1 / -1;
  display: grid;
  grid-template-columns: 240px minmax(0, 420px) auto;
  gap: 8px 34px;
  align-items: center;
}
.key {
  display: grid;
  gap: 4px;
}
/* On paper the bench's light grey would not be seen. */
.key > input {
  accent-color: var(--l30);
}
figcaption {
  padding-top: 6px;
  color: var(--quiet);
}
.chips {
  display: flex;
  margin-bottom: 4px;
}
.chips a {
  width: 34px;
  height: 24px;
}
@media (max-width: 820px) {
  .tries {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
  .set {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
