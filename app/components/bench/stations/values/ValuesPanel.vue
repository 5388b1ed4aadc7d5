<script setup lang="ts">
import { placeWords } from '~~/core/critique/stations/places'
import { isMeasured } from '~~/core/measure/report'
import { useAsked, useBenchPicture } from '~/composables/usePicture'

/** The values station's instrument: how many groups, where flat black and bare white lie. */
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
  return w => w.patches(t)
})
onMounted(() => {
  if (bench.piece.hasReference && !referenceReady.value) void loadReference()
})
const least = 0.001
const black = computed(() => (patches.value?.black ?? []).filter(p => p.share >= least)),
  white = computed(() => (patches.value?.white ?? []).filter(p => p.share >= least))
const share = (s: number): string => (s < 0.01 ? 'under 1 %' : `${Math.round(100 * s)} %`)
const point = (list: readonly { x: number; y: number }[]) => {
  sight.points = list.map((p, i) => ({ x: p.x, y: p.y, label: String(i + 1) }))
}
</script>

<template>
  <section aria-label="Values" class="values">
    <label class="groups">
      <span>in {{ countWord(count) }} values</span>
      <SlideBar v-model="count" :low="2" :high="6" :step="1" label="How many values the picture is shown in" />
    </label>
    <div v-if="black.length" class="patches">
      <h3>Flat black <button class="word-link" @click="point(black)">show where</button></h3>
      <ol>
        <li v-for="(p, i) in black" :key="i">
          <span>{{ placeWords(p) }}, {{ share(p.share) }}, value {{ Math.round(p.value) }}</span>
          <span class="instead"
            >mix instead
            <i v-for="hex in p.blacks" :key="hex" :style="{ background: hex }" :title="hex"
              ><span class="visually-hidden">{{ hex }}</span></i
            ></span
          >
        </li>
      </ol>
    </div>
    <div v-if="white.length" class="patches">
      <h3>Bare white <button class="word-link" @click="point(white)">show where</button></h3>
      <ol>
        <li v-for="(p, i) in white" :key="i">{{ placeWords(p) }}, {{ share(p.share) }}</li>
      </ol>
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
  display: flex;
  justify-content: space-between;
  color: var(--panel-ink);
}
ol {
  padding-left: 18px;
  display: grid;
  gap: 4px;
}
.instead {
  display: flex;
  gap: 4px;
  align-items: center;
}
.instead i {
  width: 26px;
  height: 14px;
  border: 1px solid var(--l60);
}
</style>
