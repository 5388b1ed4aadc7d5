<script setup lang="ts">
import { isMarkingOf } from '~~/core/critique/marking'
import { STATION_ROWS } from '~~/core/critique/stations/table'

/**
 * The route: the stations in the order of the work. A stop shows a stroke for each thing to fix, filled when it is
 * marked; a short bar where nothing is; a ring where nobody has been.
 */
const bench = useBenchStore()
/** More strokes than these are no longer counted at a glance. */
const MOST = 4
const base = computed(() => `/bench/${bench.piece.id}`)

const stops = computed(() =>
  STATION_ROWS.map(row => {
    const visited = bench.notes.visited.includes(row.station),
      marked = bench.critique.corrections.filter(c => c.station === row.station)
    const toFix = bench.readings.filter(
      r =>
        r.station === row.station
        && bench.judgementOf(r.key) !== 'dismissed'
        && bench.verdictOf(r) === 'fix'
        && !marked.some(c => isMarkingOf(c, r))
    )
    const state =
      [marked.length ? `${marked.length} marked` : '', toFix.length ? `${toFix.length} to fix` : '']
        .filter(Boolean)
        .join(', ') || (visited ? 'nothing to fix' : 'not visited')
    return { ...row, visited, state, strokes: [...marked.map(() => true), ...toFix.map(() => false)].slice(0, MOST) }
  })
)
</script>

<template>
  <nav class="route" aria-label="Stations">
    <NuxtLink
      v-for="stop in stops"
      :key="stop.station"
      :to="`${base}/${stop.station}`"
      replace
      class="stop"
      :aria-current="bench.station === stop.station ? 'page' : undefined"
    >
      <span class="sign" :title="stop.state">
        <i v-for="(filled, i) in stop.strokes" :key="i" class="stroke" :class="{ filled }" />
        <i v-if="!stop.strokes.length" :class="stop.visited ? 'bar' : 'ring'" />
      </span>
      <span
        >{{ stop.name }}<span class="visually-hidden">, {{ stop.state }}</span></span
      >
    </NuxtLink>
  </nav>
</template>

<style scoped>
.route {
  position: relative;
  padding: 16px 0;
  display: flex;
  flex-direction: column;
}
.stop {
  position: relative;
  display: flex;
  align-items: center;
  gap: 9px;
  height: 46px;
  padding-left: 12px;
  text-decoration: none;
  color: var(--panel-quiet);
}
.stop:hover,
.stop[aria-current] {
  color: var(--panel-ink);
  background: var(--l30);
}
.sign {
  width: 20px;
  display: flex;
  justify-content: flex-end;
  align-items: center;
  gap: 3px;
  flex: none;
}
.stroke {
  width: 4px;
  height: 14px;
  border: 1px solid var(--l91);
}
.stroke.filled {
  background: var(--l96);
  border-color: var(--l96);
}
.bar {
  width: 11px;
  height: 2px;
  background: var(--panel-quiet);
}
.ring {
  width: 9px;
  height: 9px;
  border: 1px solid var(--panel-quiet);
  border-radius: 50%;
}
@media (max-width: 900px) {
  .route {
    flex-direction: row;
    padding: 0;
  }
  .stop {
    padding: 0 11px;
    gap: 7px;
    white-space: nowrap;
  }
}
</style>
