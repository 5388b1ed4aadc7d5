<script setup lang="ts">
import { exerciseOf, type ExerciseKey } from '~~/core/exercise'
import { CHECK_KIND_KEYS, checkKind, type CheckKindKey, type Drawn, type Field } from '~~/core/exercise/own/kinds'
import { hasScheme, type OwnCheck } from '~~/core/exercise/own/own'

/** The checks that an exercise is built of, each with a picture that passes it as it is set, and one that does not. */
const props = defineProps<{ base: ExerciseKey }>()
const checks = defineModel<OwnCheck[]>({ required: true })
const drawn = computed<Drawn>(() => ({
  wheel: 'painter',
  scheme: exerciseOf(props.base).plan ?? 'complementary',
  hue: 240
}))
const kinds = computed(() =>
  CHECK_KIND_KEYS.filter(k => hasScheme(props.base) || !checkKind(k).inScheme).map(k => ({
    value: k,
    title: checkKind(k).label
  }))
)
const fixed = ({ kind }: OwnCheck): boolean => checkKind(kind).low === checkKind(kind).high
function change(at: number, next: Partial<OwnCheck>) {
  checks.value = checks.value.map((c, i) => (i === at ? { ...c, ...next } : c))
}
const switchTo = (at: number, kind: CheckKindKey): void => change(at, { kind, bound: checkKind(kind).usual })
const drop = (at: number): void => void (checks.value = checks.value.filter((_, i) => i !== at))
const add = (): void => void (checks.value = [...checks.value, { kind: 'range', bound: checkKind('range').usual }])
/** Fields as bars across a hundred. */
function bars(fields: readonly Field[]): { x: number; w: number; hex: string }[] {
  const total = fields.reduce((sum, f) => sum + f.share, 0)
  let x = 0
  return fields.map(({ hex, share }) => {
    const w = (100 * share) / total
    x += w
    return { x: x - w, w, hex }
  })
}
const pictures = ({ kind, bound }: OwnCheck) =>
  ([true, false] as const).map(passes => ({
    passes,
    bars: bars(checkKind(kind).show(bound, passes, drawn.value))
  }))
const MOST = 8
</script>

<template>
  <fieldset class="checks">
    <legend>What is checked</legend>
    <div v-for="(c, i) in checks" :key="i" class="check">
      <div class="asks">
        <v-select
          :model-value="c.kind"
          :items="kinds"
          :label="`Check ${i + 1}`"
          hide-details
          @update:model-value="switchTo(i, $event)"
        />
        <label v-if="!fixed(c)">
          {{ c.bound }} {{ checkKind(c.kind).unit === '%' ? '%' : checkKind(c.kind).unit }}
          <SlideBar
            :model-value="c.bound"
            :low="checkKind(c.kind).low"
            :high="checkKind(c.kind).high"
            :step="1"
            :label="`How much, check ${i + 1}`"
            @update:model-value="change(i, { bound: $event })"
          />
        </label>
        <button type="button" class="word-link" @click="drop(i)">leave it out</button>
      </div>
      <figure v-for="p in pictures(c)" :key="`${p.passes}`">
        <svg viewBox="0 0 100 56" preserveAspectRatio="none" aria-hidden="true">
          <rect v-for="(b, k) in p.bars" :key="k" :x="b.x" y="0" :width="b.w + 0.2" height="56" :fill="b.hex" />
        </svg>
        <figcaption class="quiet">{{ p.passes ? 'reaches it' : 'does not' }}</figcaption>
      </figure>
    </div>
    <button v-if="checks.length < MOST" type="button" class="word-link" @click="add">one more check</button>
  </fieldset>
</template>

<style scoped>
.checks {
  border: 0;
  padding: 0;
  margin: 0;
  width: 100%;
  display: grid;
  gap: 16px;
  justify-items: start;
}
legend {
  font-family: var(--serif);
  font-size: 16px;
  padding-bottom: 8px;
}
.check {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 130px 130px;
  gap: 16px;
  width: 100%;
  align-items: start;
}
.asks {
  display: grid;
  gap: 6px;
  justify-items: start;
}
.asks > :first-child {
  width: 100%;
}
label {
  display: flex;
  gap: 10px;
  align-items: center;
}
.check :deep(input[type='range']) {
  accent-color: var(--l30);
}
svg {
  width: 100%;
  height: 70px;
}
figcaption {
  font-size: 12px;
}
@media (max-width: 600px) {
  .check {
    grid-template-columns: 1fr 1fr;
  }
  .asks {
    grid-column: 1 / -1;
  }
}
</style>
