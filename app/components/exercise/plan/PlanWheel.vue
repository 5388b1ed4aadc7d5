<script setup lang="ts">
import { hexOfLinear } from '~~/core/colour/srgb'
import { strongAt } from '~~/core/exercise/worksheet/mixtures'
import type { SectorScheme } from '~~/core/wheel/schemes'
import type { WheelName } from '~~/core/wheel/steps'
import { stepAt } from '~~/core/wheel/wheel'

/** The class's wheel: a step is pressed to be the key colour; the scheme's others are pointed at. */
const props = defineProps<{ wheel: WheelName; scheme: SectorScheme; fixed: boolean }>()
const hue = defineModel<number>({ required: true })
const R = 78,
  INNER = 46
const point = (deg: number, r: number): string => {
  const turn = (deg * Math.PI) / 180
  return `${(r * Math.sin(turn)).toFixed(2)} ${(-r * Math.cos(turn)).toFixed(2)}`
}
const steps = computed(() =>
  Array.from({ length: 12 }, (_, i) => {
    const at = 30 * i
    return {
      at,
      name: stepAt(props.wheel, at),
      hex: hexOfLinear(strongAt(props.wheel, at)),
      path: `M${point(at - 15, R)}A${R} ${R} 0 0 1 ${point(at + 15, R)}L${point(at + 15, INNER)}A${INNER} ${INNER} 0 0 0 ${point(at - 15, INNER)}Z`
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
        :d="`M0 0L${point(c.position, INNER - 4)}`"
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
