<script setup lang="ts">
import { useDebounceFn } from '@vueuse/core'
import { format } from 'date-fns'
import { cautionsFor } from '~~/core/paint/cautions'
import { partsInWords } from '~~/core/paint/told'
import type { KeptSwatch } from '~~/shared/workshop'

/** What is kept, each with a note and a date; what its mixture really gave; and the cautions for what is owned. */
const workshop = useWorkshopStore()
const shown = ref<number | null>(null)
const one = computed<KeptSwatch | null>(
  () => workshop.swatches.find(s => s.id === shown.value) ?? workshop.swatches[0] ?? null
)
const cautions = computed(() => cautionsFor(workshop.paints))
const note = ref('')
watch(
  () => one.value?.id,
  () => (note.value = one.value?.note ?? ''),
  { immediate: true }
)
/** Written a moment after the last letter, and when the field is left. */
const SOON_MS = 800
async function write() {
  if (one.value && note.value !== one.value.note) await workshop.note(one.value.id, note.value)
}
const writeSoon = useDebounceFn(write, SOON_MS)
const want = (hex: string) => (workshop.wanted = hex)
</script>

<template>
  <section class="book" aria-labelledby="book-head">
    <h2 id="book-head">Swatch book</h2>
    <p v-if="!workshop.swatches.length" class="words">Nothing is kept yet: “keep” beside a mixture puts it here.</p>
    <div class="kept" role="group" aria-label="Kept swatches">
      <button
        v-for="swatch in workshop.swatches"
        :key="swatch.id"
        :aria-pressed="swatch.id === one?.id"
        :aria-label="swatch.note || swatch.hexes.join(', ')"
        @click="shown = swatch.id"
      >
        <i v-for="hex in swatch.hexes" :key="hex" :style="{ background: hex }" />
        <i v-if="swatch.read" class="read" :style="{ background: swatch.read.hex }" />
      </button>
    </div>
    <template v-if="one">
      <v-textarea v-model="note" label="Note" :rows="1" @update:model-value="writeSoon" @change="write" />
      <p class="quiet small">
        {{ format(new Date(one.keptAt), 'd MMMM yyyy') }}
        <template v-if="one.parts.length"> · {{ partsInWords(one.parts) }}</template>
      </p>
      <p v-if="one.read" class="quiet small">
        On paper it gave the lower half, read on {{ format(new Date(one.read.at), 'd MMMM') }}.
        <button class="word-link" @click="workshop.forgetRead(one.id)">that is wrong</button>
      </p>
      <p class="row">
        <button class="word-link" @click="want(one.hexes[0]!)">how do I get it</button>
        <button class="word-link" :disabled="workshop.busy" @click="workshop.dropSwatch(one)">take it out</button>
      </p>
      <SwatchSheet />
    </template>
    <div v-if="cautions.length" class="cautions">
      <p v-for="sentence in cautions" :key="sentence">{{ sentence }}</p>
    </div>
  </section>
</template>

<style scoped>
.book {
  display: grid;
  gap: 10px;
  align-content: start;
}
.kept {
  display: grid;
  grid-template-columns: repeat(4, 1fr);
  gap: 6px;
  max-height: 260px;
  overflow-y: auto;
  padding: 3px;
}
.kept button {
  display: flex;
  flex-wrap: wrap;
  height: 46px;
}
.kept i {
  flex: 1;
  height: 100%;
}
.kept .read {
  flex: 1 0 100%;
  height: 50%;
}
.kept button:has(.read) i:not(.read) {
  height: 50%;
}
.kept [aria-pressed='true'] {
  outline: 2px solid var(--l15);
  outline-offset: 1px;
}
.row {
  display: flex;
  gap: 4px 16px;
  flex-wrap: wrap;
}
.small {
  font-size: 13px;
}
.cautions {
  display: grid;
  gap: 5px;
  padding-top: 10px;
  margin-top: 4px;
  border-top: 1px solid var(--line);
  font-size: 13px;
  color: var(--quiet);
}
</style>
