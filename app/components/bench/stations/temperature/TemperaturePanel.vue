<script setup lang="ts">
import { isMeasured } from '~~/core/measure/report'
import { useAsked } from '~/composables/usePicture'

/**
 * The temperature station's instrument: lights, darks and the darkest tenth on one scale from cool to warm, planes with
 * them.
 */
const bench = useBenchStore()
const section = computed(() => (bench.report && isMeasured(bench.report.temperature) ? bench.report.temperature : null))
const ladder = useAsked(() => {
  const { areas } = bench.known
  return w => w.depth(areas)
})
const PLANES = { near: 'foreground', middle: 'middle ground', far: 'background' } as const
const rows = computed(() =>
  section.value
    ? [
        { name: 'the scene', t: section.value.mean },
        { name: 'lights', t: section.value.lights },
        { name: 'darks', t: section.value.darks },
        { name: 'darkest tenth', t: section.value.darkest },
        ...(ladder.value?.steps ?? []).map(s => ({ name: PLANES[s.name], t: s.temperature }))
      ]
    : []
)
/** The scale is cut at ±60: beyond that a mean never goes. */
const at = (t: number): number => 50 + (50 * Math.max(-60, Math.min(60, t))) / 60
</script>

<template>
  <section v-if="section" aria-label="Warm and cool" class="split">
    <div class="ends"><span>cool</span><span>warm</span></div>
    <div v-for="r in rows" :key="r.name" class="row" role="img" :aria-label="`${r.name}: ${Math.round(r.t)}`">
      <span class="name">{{ r.name }}</span>
      <span class="scale"
        ><i class="zero" /><i
          class="bar"
          :style="{ left: `${Math.min(50, at(r.t))}%`, width: `${Math.abs(at(r.t) - 50)}%` }"
      /></span>
      <span class="figure">{{ Math.round(r.t) }}</span>
    </div>
  </section>
</template>

<style scoped>
.split {
  padding: 10px 0;
  font-size: 13px;
  color: var(--panel-quiet);
}
.ends {
  display: flex;
  justify-content: space-between;
  padding: 0 40px 2px 108px;
  font-size: 12px;
}
.row {
  display: grid;
  grid-template-columns: 100px 1fr 32px;
  gap: 8px;
  align-items: center;
  height: 22px;
}
.scale {
  position: relative;
  height: 8px;
  background: var(--l40);
}
.zero {
  position: absolute;
  left: 50%;
  top: -3px;
  bottom: -3px;
  width: 1px;
  background: var(--l80);
}
.bar {
  position: absolute;
  top: 0;
  bottom: 0;
  background: var(--l96);
  min-width: 2px;
}
.figure {
  text-align: right;
}
</style>
