<script setup lang="ts">
import type { Station } from '~~/core/critique/stations/station'
import type { Phrase } from '~~/shared/phrase'

/** What this instructor wrote before, to be written again: learnt from use, searched, reworded, taken off. */
const props = defineProps<{ station: Station }>()
const emit = defineEmits<{ take: [phrase: Phrase] }>()
const shelf = usePhrases()
onMounted(shelf.load)

const sought = ref(''),
  rewording = ref<number | null>(null)
const SHOWN = 12
const found = computed(() => shelf.found(props.station, sought.value))
async function reword(phrase: Phrase, words: string) {
  rewording.value = null
  if (words.trim() && words.trim() !== phrase.words) await shelf.reword(phrase, words.trim())
}
</script>

<template>
  <section class="shelf" aria-label="Phrases you have used">
    <input v-model="sought" type="search" placeholder="search your phrases" aria-label="Search your phrases" />
    <ul v-if="found.length">
      <li v-for="p in found.slice(0, SHOWN)" :key="p.id">
        <input
          v-if="rewording === p.id"
          :value="p.words"
          aria-label="Reword the phrase"
          maxlength="500"
          @change="reword(p, ($event.target as HTMLInputElement).value)"
          @keydown.enter.prevent="reword(p, ($event.target as HTMLInputElement).value)"
        />
        <button v-else type="button" class="take" :title="`used ${p.uses} times`" @click="emit('take', p)">
          <span class="field">{{ p.field === 'what' ? 'wrong' : 'to do' }}</span> {{ p.words }}
        </button>
        <button
          type="button"
          class="word-link"
          :aria-label="`reword ${p.words}`"
          @click="rewording = rewording === p.id ? null : p.id"
        >
          reword
        </button>
        <button type="button" class="word-link" :aria-label="`take off the shelf: ${p.words}`" @click="shelf.remove(p)">
          off
        </button>
      </li>
    </ul>
    <p v-else class="none">
      {{ sought ? 'Nothing of yours has these words.' : 'What you write is kept here for the next time.' }}
    </p>
    <p v-if="found.length > SHOWN" class="none">{{ found.length - SHOWN }} more: search for them.</p>
    <p v-if="shelf.problem.value" role="alert">{{ shelf.problem.value }}</p>
  </section>
</template>

<style scoped>
.shelf {
  display: grid;
  gap: 6px;
  font-size: 13px;
  border-top: 1px solid var(--panel-line);
  padding-top: 8px;
}
input {
  background: var(--l20);
  color: inherit;
  border: 1px solid var(--l60);
  padding: 3px 8px;
  font: inherit;
  width: 100%;
}
ul {
  list-style: none;
  padding: 0;
  display: grid;
  gap: 4px;
}
li {
  display: grid;
  grid-template-columns: 1fr auto auto;
  gap: 10px;
  align-items: baseline;
}
.take {
  text-align: left;
  font-family: var(--serif);
  font-size: 14px;
}
.take:hover {
  text-decoration: underline;
  text-underline-offset: 3px;
}
.field {
  font-family: var(--sans);
  font-size: 11px;
  color: var(--panel-quiet);
}
.none {
  color: var(--panel-quiet);
}
</style>
