<script setup lang="ts">
import { planColours } from '~~/core/exercise/plan/colours'
import { nearestPaint } from '~~/core/exercise/paints'
import type { SectorScheme } from '~~/core/wheel/schemes'
import type { WheelName } from '~~/core/wheel/steps'

/** The scheme's colours with what each is let down to, and the nearest paint of one's own. */
const props = defineProps<{ wheel: WheelName; scheme: SectorScheme; hue: number }>()
const colours = computed(() => planColours(props.wheel, props.scheme, props.hue))
const { paints, problem, take } = useOwnPaints()
const file = ref<HTMLInputElement>()
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
    <p class="quiet">
      {{
        paints.length ? `${paints.length} paints of your own are compared.` : 'Which of your own paints come nearest?'
      }}
      <button type="button" class="word-link" @click="file!.click()">
        {{ paints.length ? 'another list' : 'bring a list of them (.gpl)' }}
      </button>
    </p>
    <input
      ref="file"
      class="visually-hidden"
      type="file"
      accept=".gpl,text/plain"
      aria-label="Your paints"
      @change="take(file!.files?.[0] ?? null)"
    />
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
