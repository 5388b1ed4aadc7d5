<script setup lang="ts">
import { useBenchPicture } from '~/composables/usePicture'
import { isMeasured, type HarmonySection, type RankedScheme } from '~~/core/measure/report'
import { SCHEME_WORDS, type SectorScheme } from '~~/core/wheel/schemes'
import type { WheelName } from '~~/core/wheel/steps'

/** The harmony station's instrument: the wheel, the schemes in the order they fit, the palette. */
const props = defineProps<{ harmony: HarmonySection, wheel: WheelName }>()
const bench = useBenchStore()
const { client, ready } = useBenchPicture()

const hues = ref<number[]>([])
watch(ready, async (now) => { if (now) hues.value = await client.call(w => w.hues(props.wheel)).catch(() => []) }, { immediate: true })

const ranking = computed(() => (isMeasured(props.harmony.ranking) ? props.harmony.ranking : []))
const chosen = ref<RankedScheme | null>(null)
const named = computed(() => ranking.value.find(r => r.name === props.harmony.scheme.name) ?? ranking.value[0] ?? null)
const current = computed(() => chosen.value ?? named.value)

function choose(scheme: RankedScheme) {
  chosen.value = scheme
  bench.lens = { name: 'off-scheme', wheel: props.wheel, scheme: scheme.name as SectorScheme, rotation: scheme.rotation }
}
</script>

<template>
  <section aria-label="Colours on the wheel">
    <WheelChart v-if="hues.length" :hues="hues" :wheel="wheel" :scheme="(current?.name as SectorScheme | undefined) ?? null" :rotation="current?.rotation ?? 0" />
    <ol v-if="ranking.length" class="ranking" aria-label="Schemes in the order they fit">
      <li v-for="r in ranking.slice(0, 5)" :key="r.name">
        <button :aria-pressed="current?.name === r.name" @click="choose(r)">
          <span class="name">{{ SCHEME_WORDS[r.name] }}</span>
          <span class="cover"><span :style="{ width: `${100 * r.coverage}%` }" /></span>
          <span class="share">{{ Math.round(100 * r.coverage) }} %</span>
        </button>
      </li>
    </ol>
    <ul class="palette" aria-label="Palette">
      <li v-for="s in harmony.palette" :key="s.hex" :style="{ flexGrow: Math.max(0.06, s.share), background: s.hex }" :title="`${s.step ?? 'neutral'} ${s.kind}, value ${s.value}, ${Math.round(100 * s.share)} %`">
        <span class="visually-hidden">{{ s.step ?? 'neutral' }} {{ s.kind }}, {{ Math.round(100 * s.share) }} %</span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.ranking { list-style: none; padding: 0; margin: 8px 0; }
.ranking button { display: grid; grid-template-columns: 1fr 90px 40px; gap: 10px; align-items: center; width: 100%; padding: 3px 4px; text-align: left; font-size: 13px; color: var(--panel-quiet); }
.ranking button[aria-pressed='true'] { color: var(--panel-ink); background: #474747; }
.cover { height: 4px; background: #5e5e5e; }
.cover span { display: block; height: 100%; background: #e5e5e5; }
.share { text-align: right; }
.palette { display: flex; list-style: none; padding: 0; height: 26px; margin: 10px 0 4px; }
</style>
