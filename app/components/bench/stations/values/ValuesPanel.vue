<script setup lang="ts">
import { placeWords } from '~~/core/critique/stations/places'
import { isMeasured } from '~~/core/measure/report'
import { useAsked, useBenchPicture } from '~/composables/usePicture'

/** The values station's instrument: in how many groups, and what stands in for flat black. */
const bench = useBenchStore(),
  sight = useSightStore()
const { referenceReady, loadReference } = useBenchPicture()

const count = computed({
  get: () =>
    sight.lens.name === 'groups' && sight.lens.count
      ? sight.lens.count
      : bench.report && isMeasured(bench.report.value) && isMeasured(bench.report.value.groups)
        ? bench.report.value.groups.length
        : 4,
  set: (n: number) => {
    sight.lens = { name: 'groups', count: n }
  }
})
const darks = computed(() =>
  bench.report && isMeasured(bench.report.temperature) ? bench.report.temperature.darks : 0
)
const patches = useAsked(() => {
  const t = darks.value
  return w => w.flatBlacks(t)
})
onMounted(() => {
  if (bench.piece.hasReference && !referenceReady.value) void loadReference()
})
const LEAST = 0.001
const blacks = computed(() => (patches.value ?? []).filter(p => p.share >= LEAST))
</script>

<template>
  <section aria-label="Values" class="values">
    <label class="groups">
      <span>in {{ countWord(count) }} values</span>
      <SlideBar v-model="count" :low="2" :high="6" :step="1" label="How many values the picture is shown in" />
    </label>
    <!-- Where it lies, and how much, its reading says. -->
    <div v-if="blacks.length" class="patches">
      <h3>Instead of flat black, mix</h3>
      <ul>
        <li v-for="(p, i) in blacks" :key="i">
          <span v-if="blacks.length > 1">{{ placeWords(p) }}</span>
          <span class="instead"><WantLink v-for="hex in p.blacks" :key="hex" :hex="hex" /> </span>
        </li>
      </ul>
    </div>
  </section>
</template>

<style scoped>
.groups {
  display: flex;
  align-items: center;
  gap: 14px;
  font-size: 13px;
  color: var(--panel-quiet);
  padding: 8px 0;
  border-bottom: 1px solid var(--l40);
}
.groups input {
  flex: 1;
}
.patches {
  padding: 10px 0;
  border-bottom: 1px solid var(--l40);
  font-size: 13px;
  color: var(--panel-quiet);
}
.patches h3 {
  font-family: var(--sans);
  font-size: 13px;
  font-weight: 600;
  color: var(--panel-ink);
  margin-bottom: 4px;
}
ul {
  list-style: none;
  padding: 0;
  display: grid;
  gap: 4px;
}
li {
  display: flex;
  justify-content: space-between;
}
.instead {
  display: flex;
  gap: 4px;
  align-items: center;
}
.instead a {
  width: 26px;
  height: 14px;
  border: 1px solid var(--l60);
}
</style>
