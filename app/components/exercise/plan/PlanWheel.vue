<script setup lang="ts">
import { planColours } from '~~/core/exercise/plan/colours'
import { hexOfLinear } from '~~/core/colour/srgb'
import { pathOf, pointAt, sectorPath } from '~~/core/export/drawing'
import { strongAt } from '~~/core/exercise/worksheet/mixtures'
import type { SectorScheme } from '~~/core/wheel/schemes'
import type { WheelName } from '~~/core/wheel/steps'
import { stepAt } from '~~/core/wheel/wheel'

/** The class's wheel: a step is pressed to be the key colour; the scheme's others are pointed at. */
const props = defineProps<{ wheel: WheelName; scheme: SectorScheme; fixed: boolean }>()
const hue = defineModel<number>({ required: true })
const RING = { x: 0, y: 0, outer: 78, inner: 46 }
const steps = computed(() =>
  Array.from({ length: 12 }, (_, i) => {
    const at = 30 * i
    return {
      at,
      name: stepAt(props.wheel, at),
      hex: hexOfLinear(strongAt(props.wheel, at)),
      path: sectorPath(RING, at - 15, at + 15)
    }
  })
)
const colours = computed(() => planColours(props.wheel, props.scheme, hue.value))
const choices = computed(() => steps.value.map(s => ({ key: `${s.at}`, label: s.name })))
</script>

<template>
  <div class="plan-wheel">
    <svg viewBox="-84 -84 168 168" aria-hidden="true">
      <path
        v-for="s in steps"
        :key="s.at"
        :d="s.path"
        :fill="s.hex"
        :class="{ free: !fixed }"
        @click="fixed || (hue = s.at)"
      >
        <title>{{ s.name }}</title>
      </path>
      <path
        v-for="(c, i) in colours"
        :key="c.position"
        :d="pathOf('M', 0, 0, 'L', ...pointAt(RING, c.position, RING.inner - 4))"
        :class="i === 0 ? 'key' : 'other'"
      />
    </svg>
    <p v-if="fixed">
      Your key colour is given: <b>{{ stepAt(wheel, hue) }}</b>.
    </p>
    <WordChoice
      v-else
      label="Key colour"
      :choices="choices"
      :model-value="`${hue}`"
      @update:model-value="hue = Number($event)"
    />
  </div>
</template>

<style scoped>
.plan-wheel {
  display: grid;
  gap: 12px;
}
svg {
  width: 100%;
  max-width: 280px;
  justify-self: center;
}
.free {
  cursor: pointer;
}
path {
  stroke: var(--paper);
  stroke-width: 1;
}
.key,
.other {
  stroke: var(--ink);
  fill: none;
}
.key {
  stroke-width: 3;
}
</style>
