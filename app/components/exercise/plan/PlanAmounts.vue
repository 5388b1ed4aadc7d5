<script setup lang="ts">
import { threeOf } from '~~/core/exercise/plan/colours'
import { TRY, tryMasses } from '~~/core/exercise/plan/masses'
import type { Amounts } from '~~/core/exercise/plan/plan'
import type { SectorScheme } from '~~/core/wheel/schemes'
import type { WheelName } from '~~/core/wheel/steps'

/** Leader, assistant and accent: their amounts, and what they look like on three small pictures of masses. */
const props = defineProps<{ wheel: WheelName; scheme: SectorScheme; hue: number }>()
const amounts = defineModel<Amounts>({ required: true })
const three = computed(() => threeOf(props.wheel, props.scheme, props.hue))
const tries = computed(() => tryMasses(amounts.value))
</script>

<template>
  <section class="amounts" aria-label="Amounts">
    <AmountsBar v-model="amounts" :colours="three" />
    <div class="tries">
      <svg v-for="(masses, k) in tries" :key="k" :viewBox="`0 0 ${TRY.w} ${TRY.h}`" aria-hidden="true">
        <rect v-for="(m, i) in masses" :key="i" :x="m.x" :y="m.y" :width="m.w" :height="m.h" :fill="three[m.of]" />
      </svg>
    </div>
  </section>
</template>

<style scoped>
.amounts {
  display: grid;
  gap: 14px;
  width: 100%;
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
