<script setup lang="ts">
import { WORKSHOP_ASKS, type WorkshopAsk } from '~/stores/workshop'

/** Mixing: own paints at the left, what is asked of them in the middle, what is kept at the right. */
definePageMeta({ whose: 'everybody' })
useHead({ title: 'Workshop · Critica' })

const workshop = useWorkshopStore(),
  { query } = useRoute()
const WORDS: Readonly<Record<WorkshopAsk, string>> = {
  mixture: 'What do I get',
  muted: 'Muted on purpose',
  dark: 'A dark without black',
  mud: 'Mud',
  wheel: 'My wheel',
  shadow: 'In shadow'
}
const choices = WORKSHOP_ASKS.map(key => ({ key, label: WORDS[key] }))
/** From a piece: a colour that is wanted, a flat black's value. */
const FLAT_BLACK = 12
const asked = (value: unknown): number => Number(typeof value === 'string' ? value : NaN)
const dark = ref(
  Number.isFinite(asked(query.dark)) ? Math.round(Math.min(40, Math.max(4, asked(query.dark)))) : FLAT_BLACK
)
onMounted(async () => {
  if (typeof query.want === 'string' && /^[0-9a-f]{6}$/.test(query.want)) workshop.wanted = `#${query.want}`
  if (query.dark !== undefined) workshop.ask = 'dark'
  await workshop.load()
})
</script>

<template>
  <div>
    <WorkshopHead />
    <div v-if="workshop.loaded" class="three">
      <PaintList />
      <div class="middle">
        <WordChoice v-model="workshop.ask" label="What is asked of the paints" :choices="choices" />
        <AskedMixture v-if="workshop.ask === 'mixture'" />
        <AskedMuted v-else-if="workshop.ask === 'muted'" />
        <AskedDark v-else-if="workshop.ask === 'dark'" v-model="dark" />
        <AskedMud v-else-if="workshop.ask === 'mud'" />
        <AskedWheel v-else-if="workshop.ask === 'wheel'" />
        <AskedShadow v-else />
        <WantedColour />
      </div>
      <SwatchBook />
    </div>
    <p v-else-if="workshop.problem" role="alert">{{ workshop.problem }}</p>
  </div>
</template>

<style scoped>
.three {
  display: grid;
  grid-template-columns: 240px minmax(0, 1fr) 290px;
  gap: 34px;
  padding-top: 16px;
}
.middle {
  display: grid;
  gap: 20px;
  align-content: start;
}
@media (max-width: 1000px) {
  .three {
    grid-template-columns: 220px minmax(0, 1fr);
  }
  .three > :last-child {
    grid-column: 1 / -1;
  }
}
@media (max-width: 640px) {
  .three {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
