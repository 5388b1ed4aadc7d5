<script setup lang="ts">
import { STATION_ROWS } from '~~/core/critique/stations/table'

/** The route: the stations in the order of the work, as stops on a line; each says how it stands. */
const bench = useBenchStore()
const base = computed(() => `/bench/${bench.piece.id}`)

const stops = computed(() =>
  STATION_ROWS.map(row => {
    const marks = bench.critique.corrections.filter(c => c.station === row.station).length ?? 0
    const visited = bench.notes.visited.includes(row.station)
    const troubled = bench.readings.some(r => {
      const judged = bench.judgementOf(r.key)
      return r.station === row.station && (judged ?? r.verdict) === 'fix'
    })
    const state = marks > 0 ? `${marks} marked` : troubled ? 'something to fix' : visited ? 'fine' : 'not visited'
    return { ...row, marks, troubled, visited, state }
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
      <span
        class="box"
        :class="{
          marked: stop.marks,
          troubled: !stop.marks && stop.troubled,
          fine: !stop.marks && !stop.troubled && stop.visited
        }"
        :title="stop.state"
        >{{ stop.marks || '' }}</span
      >
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
.route::before {
  content: '';
  position: absolute;
  left: 23px;
  top: 34px;
  bottom: 34px;
  width: 1px;
  background: var(--panel-line);
}
.stop {
  position: relative;
  display: flex;
  align-items: center;
  gap: 10px;
  height: 46px;
  padding-left: 16px;
  text-decoration: none;
  color: var(--panel-quiet);
}
.stop:hover,
.stop[aria-current] {
  color: var(--panel-ink);
  background: var(--l30);
}
.box {
  width: 15px;
  height: 15px;
  border: 1px solid var(--panel-quiet);
  background: var(--panel);
  font-size: 11px;
  line-height: 13px;
  text-align: center;
}
.box.fine::after {
  content: '';
  display: block;
  width: 7px;
  height: 7px;
  margin: 3px auto;
  background: var(--panel-quiet);
}
.box.troubled {
  border-style: double;
  border-width: 3px;
  line-height: 9px;
}
.box.marked {
  background: var(--panel-ink);
  color: var(--l5);
  border-color: var(--panel-ink);
  font-weight: 600;
}
@media (max-width: 900px) {
  .route {
    flex-direction: row;
    padding: 0;
  }
  .route::before {
    display: none;
  }
  .stop {
    padding: 0 11px;
    gap: 7px;
    white-space: nowrap;
  }
}
</style>
