<script setup lang="ts">
import { useDebounceFn } from '@vueuse/core'
import { describeTarget } from '~~/core/critique/target'
import { linearOfHex } from '~~/core/colour/srgb'
import { stepWords } from '~~/core/critique/words'
import { isMeasured } from '~~/core/measure/report'
import { areaHolds, boundsOf } from '~~/core/picture/area'
import { PAINTER_STEPS } from '~~/core/wheel/steps'
import type { EffectNumbers } from '~~/core/trial/effect'
import { showsSomething, type Trial } from '~~/core/trial/trial'
import type { Correction } from '~~/shared/critique'
import { useBenchPicture } from '~/composables/usePicture'
import {
  NO_TRIAL,
  settingOf,
  TRIAL_SLIDERS,
  withOperation,
  withSetting,
  type TrialSlider
} from '~/composables/trialSliders'

/** Trying a correction on the picture: shown live while a slider moves, read before and after, kept with the correction. */
const props = defineProps<{ correction: Correction }>()
const bench = useBenchStore(),
  sight = useSightStore(),
  edits = useEditsStore()
const { client } = useBenchPicture()

const trial = shallowRef<Trial>(props.correction.trial ?? NO_TRIAL)
const before = shallowRef<EffectNumbers | null>(null),
  after = shallowRef<EffectNumbers | null>(null)
const wheel = computed(() => bench.report?.wheel ?? 'painter')

function show() {
  sight.trials = showsSomething(trial.value) ? [{ trial: trial.value, area: props.correction.area }] : []
  if (sight.trials.length && sight.lens.name !== 'plain') sight.lens = { name: 'plain' }
}
const numbers = (of: Trial) =>
  client
    .call(w =>
      w.effect(showsSomething(of) ? [{ trial: of, area: props.correction.area }] : [], [props.correction], wheel.value)
    )
    .then(
      ([first]) => first ?? null,
      () => null
    )
/** The picture is asked for first: it is looked at while the readings are still being taken. */
async function read() {
  await nextTick()
  after.value = showsSomething(trial.value) ? await numbers(trial.value) : null
  before.value ??= await numbers(NO_TRIAL)
}
const settle = useDebounceFn(async () => {
  sight.sliding = false
  const now = trial.value
  await read()
  if (bench.released || JSON.stringify(now) === JSON.stringify(props.correction.trial ?? NO_TRIAL)) return
  await edits.changeCorrection(props.correction.id, { ...props.correction, trial: showsSomething(now) ? now : null })
}, 450)
function change(next: Trial) {
  trial.value = next
  sight.sliding = true
  show()
  void settle()
}
// Taken back, done again, or another window's: the sliders follow, unless the hand is on one.
watch([() => props.correction.trial, () => edits.theirs], () => {
  const kept = props.correction.trial ?? NO_TRIAL
  if (sight.sliding || JSON.stringify(kept) === JSON.stringify(trial.value)) return
  trial.value = kept
  show()
  void read()
})
onMounted(async () => {
  show()
  await read()
})
onBeforeUnmount(() => {
  sight.trials = []
  sight.sliding = false
})

const slide = (slider: TrialSlider, event: Event) =>
  change(withSetting(trial.value, slider, Number((event.target as HTMLInputElement).value)))
const hue = computed(() => trial.value.operations.find(o => o.kind === 'hue') ?? null)
const steps = [
  { title: 'its own hue', value: -1 },
  ...PAINTER_STEPS.map((step, i) => ({ title: `toward ${stepWords(step)}`, value: 30 * i }))
]
const turn = (position: number, share: number) =>
  change(withOperation(trial.value, 'hue', position < 0 ? null : { kind: 'hue', wheel: 'painter', position, share }))

/** The light that a material picked here would have if it stayed in the light of the others. */
const expected = shallowRef<readonly [number, number, number] | null>(null)
watch(
  [() => bench.report?.light, () => props.correction.area],
  async ([light, area]) => {
    expected.value = null
    const pair = area && bench.notes.pairs.find(p => p.shadow && areaHolds(area, p.shadow.x, p.shadow.y))
    if (!pair) return
    const own = await client.call(w => w.lightOf(area))
    const material =
      light && isMeasured(light) ? light.materials.filter(isMeasured).find(m => m.name === pair.name) : null
    if (material && own)
      expected.value = linearOfHex(material.expected).map((c, i) => c / Math.max(1e-4, own[i]!)) as unknown as [
        number,
        number,
        number
      ]
  },
  { immediate: true }
)
const lit = computed(() => trial.value.operations.some(o => o.kind === 'light'))
const blacks = shallowRef<readonly string[]>([])
watch(
  () => props.correction.area,
  async area => {
    const { black } = await client
      .call(w => w.patches(bench.report && isMeasured(bench.report.temperature) ? bench.report.temperature.darks : 0))
      .catch(() => ({ black: [] }))
    blacks.value =
      black.find(p => {
        const { x, y, w, h } = area ? boundsOf(area) : { x: 0, y: 0, w: 1, h: 1 }
        return p.share > 0.002 && p.x >= x && p.x <= x + w && p.y >= y && p.y <= y + h
      })?.blacks ?? []
  },
  { immediate: true }
)

const number = (n: number | null, times = 1): string => (n === null ? '–' : String(Math.round(n * times)))
const rows = computed(() => {
  const from = before.value,
    to = after.value
  if (!from || !to) return []
  return (
    [
      ['range', 'range', 1],
      ['separation', 'from its surroundings', 1],
      ['temperature', 'temperature', 1],
      ['coverage', 'colour in the scheme, %', 100]
    ] as const
  )
    .filter(([name]) => from[name] !== null && to[name] !== null)
    .map(([name, words, times]) => ({ words, before: number(from[name], times), after: number(to[name], times) }))
})
const reached = computed(() => after.value?.target?.reached ?? null)
</script>

<template>
  <section class="trial" aria-label="Try it on the picture">
    <label v-for="s in TRIAL_SLIDERS" :key="s.kind" class="slider">
      <span>{{ s.less }}</span>
      <input
        type="range"
        :min="s.low"
        :max="s.high"
        :step="s.step"
        :value="settingOf(trial, s)"
        :aria-label="`${s.less}, ${s.more}`"
        @input="slide(s, $event)"
      />
      <span class="end">{{ s.more }}</span>
    </label>
    <div class="hue">
      <OwnTask
        ><v-select
          :model-value="hue?.position ?? -1"
          :items="steps"
          label="Hue"
          @update:model-value="turn($event, hue?.share ?? 0.5)"
      /></OwnTask>
      <input
        v-if="hue"
        type="range"
        min="0"
        max="1"
        step="0.05"
        :value="hue.share"
        aria-label="How far the hue is turned"
        @input="turn(hue.position, Number(($event.target as HTMLInputElement).value))"
      />
    </div>
    <p v-if="expected || blacks.length" class="more">
      <button
        v-if="expected"
        class="word-link"
        :aria-pressed="lit"
        @click="change(withOperation(trial, 'light', lit ? null : { kind: 'light', ratio: expected }))"
      >
        {{ lit ? 'back to its own light' : 'take it to the light of the others' }}
      </button>
      <template v-if="blacks.length"
        >black as
        <button
          v-for="hex in blacks"
          :key="hex"
          class="swatch"
          :style="{ background: hex }"
          :aria-label="`mix the black as ${hex}`"
          @click="change(withOperation(trial, 'black', { kind: 'black', hex }))"
      /></template>
    </p>
    <div class="more">
      <label
        >edge
        <input
          type="range"
          min="0"
          max="0.06"
          step="0.002"
          :value="trial.feather"
          aria-label="How wide the edge fades"
          @input="change({ ...trial, feather: Number(($event.target as HTMLInputElement).value) })"
      /></label>
      <label
        >strength
        <input
          type="range"
          min="0"
          max="1"
          step="0.05"
          :value="trial.strength"
          aria-label="Strength of the trial"
          @input="change({ ...trial, strength: Number(($event.target as HTMLInputElement).value) })"
      /></label>
      <label v-if="correction.area"
        ><input type="checkbox" :checked="trial.outside" @change="change({ ...trial, outside: !trial.outside })" />
        everything but the area</label
      >
      <button v-if="showsSomething(trial)" class="word-link" @click="change(NO_TRIAL)">nothing changed</button>
    </div>
    <StrokePainter :model-value="trial.strokes ?? []" @update:model-value="change({ ...trial, strokes: $event })" />
    <table v-if="rows.length">
      <thead>
        <tr>
          <th />
          <th>before</th>
          <th>after</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="r in rows" :key="r.words">
          <td>{{ r.words }}</td>
          <td>{{ r.before }}</td>
          <td>{{ r.after }}</td>
        </tr>
      </tbody>
    </table>
    <p v-if="correction.target && reached !== null" role="status" class="reached">
      {{ reached ? 'The target is reached' : 'Not yet' }}: {{ describeTarget(correction.target) }}.
    </p>
    <p v-if="sight.trials.length" class="hint">Hold space to see it as it was, or press c for a line between both.</p>
  </section>
</template>

<style scoped>
.trial {
  display: grid;
  gap: 6px;
  font-size: 12px;
  color: var(--panel-quiet);
  border-top: 1px solid var(--l40);
  padding-top: 8px;
}
.slider {
  display: grid;
  grid-template-columns: 92px 1fr 68px;
  gap: 8px;
  align-items: center;
}
.end {
  text-align: right;
}
input[type='range'] {
  accent-color: var(--l96);
  min-width: 0;
  width: 100%;
}
.hue {
  margin-top: 6px;
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
  align-items: center;
}
.more {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  align-items: center;
}
.more label {
  display: flex;
  gap: 6px;
  align-items: center;
}
.more input[type='range'] {
  width: 70px;
}
.swatch {
  width: 24px;
  height: 16px;
  border: 1px solid var(--l60);
}
table {
  border-collapse: collapse;
}
th {
  text-align: right;
  font-weight: 400;
}
td {
  border-top: 1px solid var(--l40);
  padding: 2px 0;
}
td:not(:first-child) {
  text-align: right;
  width: 56px;
}
.reached {
  color: var(--panel-ink);
  font-weight: 600;
}
</style>
