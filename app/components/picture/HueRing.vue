<script setup lang="ts">
import { colourAt } from '~~/core/wheel/wheel'
import { hexOfLinear } from '~~/core/colour/srgb'
import type { Fingerprint } from '~~/core/measure/fingerprint'

/** A small ring of the picture's colour families: yellow at the top, arcs as long as their weight. */
const props = defineProps<Pick<Fingerprint, 'families' | 'wheel'> & { size?: number }>()

const R = 7
const around = 2 * Math.PI * R
/** Each family sits at its place on the wheel; its arc is its weight of the circle. */
const arcs = computed(() =>
  props.families.map(f => ({
    colour: hexOfLinear(
      colourAt(props.wheel, {
        positionDeg: f.position,
        lightness: 0.66,
        chroma: Math.max(0.06, Math.min(0.16, f.chroma * 1.4))
      })
    ),
    length: Math.max(1.6, f.weight * around),
    turn: f.position - 90 - f.weight * 180
  }))
)
const label = computed(() =>
  props.families.length
    ? `colours: ${props.families
        .slice(0, 4)
        .map(f => `${f.step} ${Math.round(100 * f.weight)} %`)
        .join(', ')}`
    : 'no colour'
)
</script>

<template>
  <svg :width="size ?? 18" :height="size ?? 18" viewBox="0 0 18 18" role="img" :aria-label="label">
    <circle cx="9" cy="9" :r="R" fill="none" stroke="var(--l80)" stroke-width="1" />
    <circle
      v-for="(arc, i) in arcs"
      :key="i"
      cx="9"
      cy="9"
      :r="R"
      fill="none"
      stroke-width="3.4"
      :stroke="arc.colour"
      :stroke-dasharray="`${arc.length} ${around}`"
      :transform="`rotate(${arc.turn} 9 9)`"
    />
  </svg>
</template>
