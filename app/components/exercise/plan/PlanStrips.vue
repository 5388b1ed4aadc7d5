<script setup lang="ts">
import { planColours } from '~~/core/exercise/plan/colours'
import { nearestPaint } from '~~/core/paint/nearest'
import { workshopSchema } from '~~/shared/workshop'
import type { SectorScheme } from '~~/core/wheel/schemes'
import type { WheelName } from '~~/core/wheel/steps'

/** The scheme's colours with what each is let down to, and the nearest paint of one's own. */
const props = defineProps<{ wheel: WheelName; scheme: SectorScheme; hue: number }>()
const colours = computed(() => planColours(props.wheel, props.scheme, props.hue))
const { data: workshop, problem } = useApiData(workshopSchema, '/workshop')
const paints = computed(() => workshop.value?.paints ?? [])
const KINDS = [
  ['tints', 'with white'],
  ['tones', 'with grey'],
  ['shades', 'with black']
] as const
const near = (hex: string): string => {
  const found = nearestPaint(hex, paints.value)
  if (!found) return ''
  return found.difference < 3
    ? `your ${found.paint.name}`
    : found.difference < 12
      ? `near your ${found.paint.name}`
      : `mix it: the nearest is ${found.paint.name}`
}
</script>

<template>
  <section class="strips" aria-label="Its colours">
    <div v-for="c in colours" :key="c.position" class="colour">
      <p>
        <b>{{ c.name }}</b> <span class="quiet">{{ near(c.hex) }}</span>
      </p>
      <div class="row">
        <i class="full" :style="{ background: c.hex }" :title="c.name" />
        <span v-for="[kind, words] in KINDS" :key="kind" class="strip" :title="words">
          <i v-for="hex in c[kind]" :key="hex" :style="{ background: hex }" />
        </span>
      </div>
    </div>
    <p class="quiet under">
      <span>full</span><span v-for="[kind, words] in KINDS" :key="kind">{{ words }}</span>
    </p>
    <p v-if="workshop" class="quiet">
      {{ paints.length ? 'Compared with the paints that you have.' : 'Which of your own paints come nearest?' }}
      <NuxtLink class="word-link" to="/workshop">{{
        paints.length ? 'how to mix them' : 'list them in the workshop'
      }}</NuxtLink>
    </p>
    <p v-if="problem" role="alert">{{ problem }}</p>
  </section>
</template>

<style scoped>
.strips {
  display: grid;
  gap: 8px;
  width: 100%;
}
.row,
.under {
  display: grid;
  grid-template-columns: 1fr repeat(3, 2fr);
  gap: 10px;
}
i {
  height: 34px;
  flex: 1;
}
.strip {
  display: flex;
}
</style>
