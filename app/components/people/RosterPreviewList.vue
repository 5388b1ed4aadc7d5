<script setup lang="ts">
import type { RosterPreview, RosterRow } from '~~/shared/roster'

/** What a list will do: what is wrong first, each by row and column; the rest below, in one line a person. */
const props = defineProps<{ preview: RosterPreview }>()
const wrong = computed(() => props.preview.rows.filter(r => r.outcome === 'wrong'))
const taken = computed(() => props.preview.rows.filter(r => r.outcome !== 'wrong'))
const there = computed(() => taken.value.filter(r => r.outcome === 'there').length)
/** Enough to see that the list was read as it was meant. */
const SHOWN = 12
const saidOf = ({ outcome, email, signInName }: RosterRow): string =>
  outcome === 'there'
    ? 'in the class already'
    : outcome === 'joins'
      ? `${email}, has an account here and joins`
      : (email ?? (signInName ? `signs in as ${signInName}` : 'no address: a slip'))
</script>

<template>
  <div class="preview" role="status">
    <p v-if="preview.ignored.length" class="quiet">Left out: {{ preview.ignored.join(', ') }}.</p>
    <template v-if="wrong.length">
      <p>
        <b>{{ capital(countWord(wrong.length)) }} {{ wrong.length === 1 ? 'row is' : 'rows are' }} not taken</b>
        <span class="quiet"> · put right here, or later: what is there stays, and nobody comes twice.</span>
      </p>
      <ul class="wrong" tabindex="0" aria-label="Rows that are not taken">
        <li v-for="r in wrong" :key="r.row">
          <span class="row">row {{ r.row }}</span>
          <span>
            {{ r.name }}
            <span v-for="m in r.mistakes" :key="m.message" class="mistake"
              ><b v-if="m.column">{{ m.column }}:</b> {{ m.message }}</span
            >
          </span>
        </li>
      </ul>
    </template>
    <ul v-if="taken.length">
      <li v-for="r in taken.slice(0, SHOWN)" :key="r.row">
        <span class="row">row {{ r.row }}</span>
        <span
          >{{ r.name }} <span class="quiet">{{ saidOf(r) }}</span></span
        >
      </li>
    </ul>
    <p v-if="taken.length > SHOWN" class="quiet">… and {{ taken.length - SHOWN }} more.</p>
    <p v-if="there && taken.length > SHOWN" class="quiet">{{ capital(countWord(there)) }} in the class already.</p>
  </div>
</template>

<style scoped>
.preview {
  display: grid;
  gap: 8px;
  font-size: 13px;
}
ul {
  list-style: none;
  padding: 0;
}
.wrong {
  max-height: 240px;
  overflow-y: auto;
}
li {
  display: grid;
  grid-template-columns: 56px 1fr;
  gap: 8px;
  padding: 2px 0;
}
.row {
  color: var(--quiet);
}
.mistake {
  display: block;
  color: var(--accent);
}
</style>
