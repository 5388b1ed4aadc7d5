<script setup lang="ts">
import { markedWords } from '~~/core/compare/words'
import { describeTarget } from '~~/core/critique/target'
import { tagOf } from '~~/core/critique/stations/table'
import { describeTrial } from '~~/core/trial/words'
import type { Correction } from '~~/shared/critique'

/** What is to change, in the order of importance; one is chosen here or by its mark on the picture. */
const props = defineProps<{ corrections: readonly Correction[] }>()
const chosen = defineModel<number | null>({ required: true })

/** One correction after the other, each alone on the picture. */
function step(by: 1 | -1) {
  const all = props.corrections,
    at = all.findIndex(c => c.id === chosen.value)
  chosen.value = all[at < 0 ? (by > 0 ? 0 : all.length - 1) : at + by]?.id ?? null
}
</script>

<template>
  <section aria-label="Corrections">
    <h2>To change, in this order</h2>
    <p v-if="corrections.length > 1" class="quiet steps">
      one by one: <button class="word-link" @click="step(-1)">before</button>
      <button class="word-link" @click="step(1)">next</button>
      <button v-if="chosen !== null" class="word-link" @click="chosen = null">all</button>
    </p>
    <ol>
      <li v-for="c in corrections" :key="c.id" :class="{ chosen: chosen === c.id }" @click="chosen = c.id">
        <span class="tag">{{ tagOf(c) }}</span>
        <div>
          <p class="words">
            {{ c.what }} <span v-if="c.marked > 1" class="quiet">{{ markedWords(c.marked) }}</span>
          </p>
          <p v-if="c.reason && c.reason !== c.what" class="quiet">{{ c.reason }}</p>
          <p v-if="c.todo" class="words">{{ c.todo }}</p>
          <p v-if="c.readingId === 'value.black'">
            <NuxtLink class="word-link" to="/workshop?dark=10">mix one from your own paints</NuxtLink>
          </p>
          <p v-if="c.trial" class="quiet">Shown on the picture: {{ describeTrial(c.trial) }}.</p>
          <p v-if="c.target" class="quiet">Reached with {{ describeTarget(c.target) }}.</p>
        </div>
      </li>
    </ol>
  </section>
</template>

<style scoped>
h2 {
  margin-bottom: 4px;
}
.steps {
  display: flex;
  gap: 12px;
}
ol {
  list-style: none;
  padding: 0;
  display: grid;
  gap: 4px;
}
li {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 10px;
  padding: 8px;
  margin: 0 -8px;
  cursor: pointer;
}
li.chosen {
  background: var(--l91);
}
.tag {
  background: var(--l5);
  color: var(--l96);
  font-size: 12px;
  font-weight: 600;
  padding: 0 6px;
  height: 20px;
  line-height: 20px;
  margin-top: 2px;
}
</style>
