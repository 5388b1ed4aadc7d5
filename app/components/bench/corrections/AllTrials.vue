<script setup lang="ts">
import { describeTarget } from '~~/core/critique/target'
import type { EffectNumbers } from '~~/core/trial/effect'
import { tagOf } from '~~/core/critique/stations/table'
import { useBenchPicture } from '~/composables/usePicture'

/** Every trial at once: the picture as it could be, and what each correction would read then. */
const bench = useBenchStore(),
  sight = useSightStore()
const { ask } = useBenchPicture()

const tried = computed(() => bench.critique.corrections.filter(c => c.trial))
const before = shallowRef<EffectNumbers[] | null>(null),
  after = shallowRef<EffectNumbers[] | null>(null)
watch(
  tried,
  async list => {
    sight.trials = list.map(c => ({ trial: c.trial!, area: c.area }))
    sight.lens = { name: 'plain' }
    const subjects = list.map(({ area, target }) => ({ area, target })),
      known = { ...bench.known, wheel: bench.report?.wheel ?? bench.known.wheel },
      trials = sight.trials
    after.value = await ask(w => w.effect(trials, subjects, known))
    before.value = await ask(w => w.effect([], subjects, known))
  },
  { immediate: true }
)
onBeforeUnmount(() => {
  sight.trials = []
})

const show = (n: number | null | undefined, times = 1): string =>
  n === null || n === undefined ? '–' : String(Math.round(n * times))
const whole = computed(() =>
  before.value?.[0] && after.value?.[0]
    ? [
        { words: 'range', before: show(before.value[0].range), after: show(after.value[0].range) },
        {
          words: 'colour in the scheme, %',
          before: show(before.value[0].coverage, 100),
          after: show(after.value[0].coverage, 100)
        }
      ]
    : []
)
/** A target in steps reads as it is, one that is a share as percent. */
const number = (n: number): string => (Math.abs(n) <= 1 && n !== 0 ? `${Math.round(100 * n)} %` : String(Math.round(n)))
const rows = computed(() =>
  tried.value.map((c, i) => ({ c, from: before.value?.[i]?.target ?? null, to: after.value?.[i]?.target ?? null }))
)
</script>

<template>
  <section class="all" aria-label="All trials together">
    <BeforeAfter :rows="whole" />
    <ol>
      <li v-for="{ c, from, to } in rows" :key="c.id">
        <p class="words">
          <b>{{ tagOf(c) }}</b> {{ c.what }}
        </p>
        <p v-if="c.target && from && to" class="reached">
          {{ number(from.value) }} → {{ number(to.value) }}: {{ to.reached ? 'reached' : 'not yet' }},
          {{ describeTarget(c.target) }}.
        </p>
      </li>
    </ol>
    <p class="hint">Hold space to see it as it was, or press c for a line between both.</p>
  </section>
</template>

<style scoped>
.all {
  display: grid;
  gap: 10px;
  font-size: 13px;
  color: var(--panel-quiet);
  padding-top: 10px;
}
ol {
  list-style: none;
  padding: 0;
  display: grid;
  gap: 10px;
}
.words {
  color: var(--panel-ink);
}
.words b {
  font-family: var(--sans);
  font-size: 12px;
}
.reached {
  color: var(--panel-ink);
  font-variant-numeric: tabular-nums;
}
</style>
