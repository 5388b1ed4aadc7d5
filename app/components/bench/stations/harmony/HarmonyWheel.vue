<script setup lang="ts">
import { isMeasured, type RankedScheme } from '~~/core/measure/report'
import { SCHEME_WORDS, type SectorScheme } from '~~/core/wheel/schemes'
import { WHEEL_NAMES, type WheelName } from '~~/core/wheel/steps'
import { useAsked, useBenchPicture } from '~/composables/usePicture'

/**
 * The harmony station's instrument: the wheel of the chosen school, the schemes in the order they fit, turned by hand.
 */
const bench = useBenchStore(),
  sight = useSightStore()
const harmony = computed(() => (bench.report && isMeasured(bench.report.harmony) ? bench.report.harmony : null))
const wheel = computed(() => bench.report?.wheel ?? bench.known.wheel)
const { ask } = useBenchPicture()

const hues = useAsked(() => {
  const on = wheel.value
  return w => w.hues(on)
})
const ranking = computed(() => (harmony.value && isMeasured(harmony.value.ranking) ? harmony.value.ranking : []))
const chosen = shallowRef<RankedScheme | null>(null)
const named = computed(() => ranking.value.find(r => r.name === harmony.value?.scheme.name) ?? ranking.value[0] ?? null)
const all = ref(false)
const current = computed(() => chosen.value ?? named.value)

function choose(scheme: RankedScheme) {
  chosen.value = scheme
  sight.lens = {
    name: 'off-scheme',
    wheel: wheel.value,
    scheme: scheme.name as SectorScheme,
    rotation: scheme.rotation
  }
}
/** Turned by hand. */
const turn = latest(async (rotation: number) => {
  const name = current.value?.name as SectorScheme | undefined
  const fit = name && (await ask(w => w.schemeAt(name, rotation, wheel.value)))
  if (fit) choose(fit)
})
function switchTo(wheel: WheelName) {
  chosen.value = null
  sight.lens = { name: 'plain' }
  bench.ownWheel = wheel
}
</script>

<template>
  <section v-if="harmony" aria-label="Colours on the wheel">
    <ChoiceGroup
      class="wheels"
      label="Wheel"
      :choices="WHEEL_NAMES.map(w => ({ key: w, label: w }))"
      :model-value="wheel"
      @update:model-value="switchTo($event as WheelName)"
    />
    <WheelChart
      v-if="hues"
      :hues="hues"
      :wheel="wheel"
      :scheme="(current?.name as SectorScheme | undefined) ?? null"
      :rotation="current?.rotation ?? 0"
      :families="isMeasured(harmony.families) ? harmony.families : []"
      @turn="turn"
    />
    <label v-if="current" class="turning"
      ><span>turn the scheme</span
      ><SlideBar
        :low="0"
        :high="359"
        :step="1"
        :model-value="Math.round(current.rotation)"
        label="Rotation of the scheme in degrees"
        @update:model-value="turn"
      /><span class="share">{{ Math.round(current.rotation) }}°</span></label
    >
    <ol v-if="ranking.length" class="ranking" aria-label="Schemes in the order they fit">
      <li v-for="r in all ? ranking : ranking.slice(0, 5)" :key="r.name">
        <button :aria-pressed="current?.name === r.name" @click="choose(r)">
          <span class="name">{{ SCHEME_WORDS[r.name] }}</span>
          <span class="cover"
            ><span :style="{ width: `${100 * (current?.name === r.name ? current.coverage : r.coverage)}%` }"
          /></span>
          <span class="share"
            >{{ Math.round(100 * (current?.name === r.name ? current.coverage : r.coverage)) }} %</span
          >
        </button>
      </li>
    </ol>
    <button v-if="ranking.length > 5" class="word-link all" :aria-expanded="all" @click="all = !all">
      {{ all ? 'the first five' : 'all ten schemes' }}
    </button>
  </section>
</template>

<style scoped>
.wheels {
  gap: 16px;
  padding: 6px 0;
  color: var(--panel-quiet);
}
.wheels :deep(.chosen) {
  color: var(--panel-ink);
  font-weight: 600;
  border-bottom: 2px solid;
}
.turning {
  display: grid;
  grid-template-columns: auto 1fr 40px;
  gap: 10px;
  align-items: center;
  font-size: 13px;
  color: var(--panel-quiet);
  padding: 0 4px;
}
.ranking {
  list-style: none;
  padding: 0;
  margin: 8px 0;
}
.ranking button {
  display: grid;
  grid-template-columns: 1fr 70px 40px;
  gap: 10px;
  align-items: center;
  width: 100%;
  padding: 2px 4px;
  text-align: left;
  font-size: 13px;
  color: var(--panel-quiet);
}
.ranking button[aria-pressed='true'] {
  color: var(--panel-ink);
  background: var(--l30);
}

.all {
  color: var(--panel-quiet);
}
.cover {
  height: 4px;
  background: var(--l40);
}
.cover span {
  display: block;
  height: 100%;
  background: var(--l91);
}
.share {
  text-align: right;
}
</style>
