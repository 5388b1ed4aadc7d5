<script setup lang="ts">
import type { KeptStudy } from '~~/shared/pieces/study'

/** Small versions in the order they were made: time spent, framing, palette. */
const props = defineProps<{ studies: readonly KeptStudy[]; /** Some of them may be chosen. */ choose?: boolean }>()
const chosen = defineModel<number[]>('chosen', { default: () => [] })
/** Named as a painter frames: by its long side and how much longer that is. */
function framing({ width, height }: KeptStudy): string {
  const ratio = Math.max(width, height) / Math.min(width, height)
  return ratio < 1.04 ? 'square' : `${width > height ? 'broad' : 'upright'}, 1 : ${ratio.toFixed(2)}`
}
const paletteWords = ({ palette }: KeptStudy): string =>
  `${countWord(palette.length)} colour${palette.length === 1 ? '' : 's'}`
const total = computed(() => props.studies.reduce((sum, s) => sum + (s.minutes ?? 0), 0))
function toggle(id: number) {
  chosen.value = chosen.value.includes(id) ? chosen.value.filter(c => c !== id) : [...chosen.value, id]
}
</script>

<template>
  <div>
    <ol class="studies" aria-label="Studies in their order">
      <li v-for="(s, i) in studies" :key="s.id">
        <label>
          <img :src="apiAt(`/studies/${s.id}/picture`)" :alt="`Study ${i + 1}`" loading="lazy" />
          <span class="palette" role="img" :aria-label="paletteWords(s)">
            <i v-for="c in s.palette" :key="c.hex" :style="{ background: c.hex, flexGrow: c.share }" />
          </span>
          <span class="facts">
            <input
              v-if="choose"
              type="checkbox"
              :checked="chosen.includes(s.id)"
              :aria-label="`Study ${i + 1} led to it`"
              @change="toggle(s.id)"
            />
            {{ s.minutes ? `${s.minutes} min · ` : '' }}{{ framing(s) }}
          </span>
        </label>
        <slot :study="s" />
      </li>
    </ol>
    <p v-if="total" class="facts">{{ minutesInWords(total) }} in all</p>
  </div>
</template>

<style scoped>
.studies {
  list-style: none;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 14px;
}
label {
  display: grid;
  gap: 3px;
}
li {
  max-width: 190px;
}
img {
  height: 96px;
  max-width: 190px;
  object-fit: contain;
  object-position: left;
  display: block;
}
.palette {
  display: flex;
  height: 8px;
}
.palette i {
  min-width: 4px;
}
.facts {
  font-size: 12px;
}
</style>
