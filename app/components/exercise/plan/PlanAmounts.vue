<script setup lang="ts">
import type { Amounts } from '~~/core/exercise/plan'
import type { SectorScheme } from '~~/core/wheel/schemes'
import type { WheelName } from '~~/core/wheel/steps'

/** Leader, assistant and accent: their amounts set by two sliders, and tried on three small pictures of masses. */
const props = defineProps<{ wheel: WheelName; scheme: SectorScheme; hue: number }>()
const amounts = defineModel<Amounts>({ required: true })
const three = computed(() => threeOf(props.wheel, props.scheme, props.hue))
const percent = (share: number): number => Math.round(100 * share)
/** The rest goes to the assistant; none is larger than the one before it, and the accent is never nothing. */
const fitted = (leader: number, accent: number): Amounts => {
  const small = Math.min(0.3, Math.max(0.05, accent)),
    large = Math.min(1 - 2 * small, Math.max((1 - small) / 2, leader))
  return [large, 1 - large - small, small]
}
const leader = computed({
    get: () => percent(amounts.value[0]),
    set: v => (amounts.value = fitted(v / 100, amounts.value[2]))
  }),
  accent = computed({
    get: () => percent(amounts.value[2]),
    set: v => (amounts.value = fitted(amounts.value[0], v / 100))
  })
const NAMES = ['leader', 'assistant', 'accent'] as const

/** Three arrangements of masses; sizes follow the amounts: leader the ground, assistant a band, accent small places. */
const tries = computed(() => {
  const [, assistant, small] = amounts.value,
    w = 120,
    h = 80
  const side = Math.sqrt(small * w * h)
  return [
    {
      band: { x: 0, y: h * (1 - assistant - small), w, h: h * (assistant + small) },
      spots: [{ x: 78, y: 30, s: side }]
    },
    {
      band: { x: 0, y: 0, w: w * (assistant + small), h },
      spots: [0.62, 0.62, 0.48].map((k, i) => ({ x: [62, 88, 74][i]!, y: [46, 16, 20][i]!, s: side * k }))
    },
    {
      band: { x: 0, y: (h * (1 - assistant)) / 2, w, h: h * assistant },
      spots: [{ x: 28, y: (h - side) / 2, s: side }]
    }
  ]
})
</script>

<template>
  <section class="amounts" aria-label="Amounts">
    <div class="bar" role="img" :aria-label="NAMES.map((n, i) => `${n} ${percent(amounts[i]!)} %`).join(', ')">
      <span v-for="(name, i) in NAMES" :key="name" :style="{ width: `${100 * amounts[i]!}%`, background: three[i] }" />
    </div>
    <div class="sliders">
      <label>leader {{ leader }} % <SlideBar v-model="leader" :low="40" :high="90" :step="1" label="Leader" /></label>
      <span class="quiet">assistant {{ percent(amounts[1]) }} %</span>
      <label>accent {{ accent }} % <SlideBar v-model="accent" :low="5" :high="30" :step="1" label="Accent" /></label>
    </div>
    <div class="tries">
      <svg v-for="(t, k) in tries" :key="k" viewBox="0 0 120 80" aria-hidden="true">
        <rect width="120" height="80" :fill="three[0]" />
        <rect :x="t.band.x" :y="t.band.y" :width="t.band.w" :height="t.band.h" :fill="three[1]" />
        <rect v-for="(s, i) in t.spots" :key="i" :x="s.x" :y="s.y" :width="s.s" :height="s.s" :fill="three[2]" />
      </svg>
    </div>
  </section>
</template>

<style scoped>
.amounts {
  display: grid;
  gap: 10px;
  width: 100%;
}
.bar {
  display: flex;
  height: 40px;
}
.sliders {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 26px;
  align-items: center;
}
label {
  display: flex;
  gap: 10px;
  align-items: center;
}
.sliders :deep(input) {
  accent-color: var(--l30);
}
.tries {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 14px;
}
svg {
  width: 100%;
}
</style>
