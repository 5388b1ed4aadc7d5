<script setup lang="ts">
import { isMeasured } from '~~/core/measure/report'

/** How much there is of each colour, how strong, and in which paints. */
const bench = useBenchStore()
const harmony = computed(() => (bench.report && isMeasured(bench.report.harmony) ? bench.report.harmony : null))
</script>

<template>
  <section v-if="harmony" aria-label="Amounts of colour">
    <InTurn>
      <ProportionBars v-if="isMeasured(harmony.families)" :families="harmony.families" :wheel="bench.known.wheel" />
      <ScatterChart />
      <ul class="palette" aria-label="Palette">
        <li v-for="s in harmony.palette" :key="s.hex">
          <i :style="{ background: s.hex }" /><span>{{ s.step ?? '' }} {{ s.kind }}</span
          ><span class="share">{{ Math.round(s.value) }}</span
          ><span class="share">{{ Math.round(100 * s.share) }} %</span>
        </li>
      </ul>
    </InTurn>
  </section>
</template>

<style scoped>
.share {
  text-align: right;
}
.palette {
  list-style: none;
  padding: 0;
  margin: 10px 0 4px;
  display: grid;
  font-size: 13px;
  color: var(--panel-quiet);
}
.palette li {
  display: grid;
  grid-template-columns: 44px 1fr 34px 44px;
  gap: 10px;
  align-items: center;
  height: 24px;
}
.palette i {
  height: 20px;
}
</style>
