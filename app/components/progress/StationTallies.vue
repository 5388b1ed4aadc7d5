<script setup lang="ts">
import { rowOf } from '~~/core/critique/stations/table'
import type { StationTally } from '~~/core/progress/tally'

/** Corrections by station: landed at first, landed later, open, not tried; a square each. */
defineProps<{ tally: readonly StationTally[] }>()
const KINDS = [
  { key: 'atFirst', words: 'landed at first' },
  { key: 'later', words: 'landed later' },
  { key: 'open', words: 'still open' },
  { key: 'untried', words: 'not tried again yet' }
] as const
const saidOf = (t: StationTally): string =>
  KINDS.filter(k => t[k.key])
    .map(k => `${countWord(t[k.key])} ${k.words}`)
    .join(', ')
</script>

<template>
  <div class="tallies">
    <p class="key quiet">
      <span v-for="k in KINDS" :key="k.key"><i :class="k.key" /> {{ k.words }}</span>
    </p>
    <ul>
      <li v-for="t in tally" :key="t.station">
        <span>{{ rowOf(t.station).name }}</span>
        <span role="img" :aria-label="saidOf(t)" :title="saidOf(t)" class="squares">
          <template v-for="k in KINDS" :key="k.key"><i v-for="n in t[k.key]" :key="n" :class="k.key" /></template>
        </span>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.key {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  font-size: 13px;
  margin-bottom: 6px;
}
ul {
  list-style: none;
  padding: 0;
  display: grid;
  gap: 6px;
}
li {
  display: grid;
  grid-template-columns: 110px 1fr;
  align-items: center;
}
.squares {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}
i {
  display: inline-block;
  width: 13px;
  height: 13px;
  border: 1.5px solid var(--l15);
  vertical-align: -1px;
}
i.atFirst {
  background: var(--l15);
}
i.later {
  background: linear-gradient(to top, var(--l15) 50%, transparent 50%);
}
i.untried {
  border-style: dotted;
}
</style>
