<script setup lang="ts">
import { describeTarget } from '~~/core/critique/target'
import { describeTrial } from '~~/core/trial/words'
import { markedWords } from '~~/core/compare/words'
import { tagOf } from '~~/core/critique/stations/table'
import type { Correction } from '~~/shared/critique'

/** One correction beside the picture: what is wrong, why, what to do, and what can be done with it. */
const props = defineProps<{ correction: Correction }>()
const bench = useBenchStore(),
  sight = useSightStore(),
  inHand = useInHandStore(),
  edits = useEditsStore()
const editing = ref(false)
const corrections = computed(() => bench.critique.corrections)

async function move(by: -1 | 1) {
  const order = corrections.value.map(c => c.id)
  const at = order.indexOf(props.correction.id)
  ;[order[at], order[at + by]] = [order[at + by]!, order[at]!]
  await edits.orderCorrections(order)
}
/** The trial has the panel for itself. */
function tryIt() {
  sight.trying = props.correction.id
  inHand.sheet = null
}
async function remove() {
  if (await edits.removeCorrection(props.correction)) inHand.sheet = null
}
</script>

<template>
  <section class="sheet" :aria-label="`Correction ${tagOf(correction)}`">
    <CorrectionForm v-if="editing" :id="correction.id" :model-value="correction" @done="editing = false" />
    <template v-else>
      <p class="words">
        <b>{{ tagOf(correction) }}</b> {{ correction.what }}
        <span v-if="correction.marked > 1" class="quiet-text">{{ markedWords(correction.marked) }}</span>
      </p>
      <p v-if="correction.reason && correction.reason !== correction.what" class="why">{{ correction.reason }}</p>
      <p v-if="correction.todo" class="words">{{ correction.todo }}</p>
      <p v-if="correction.trial" class="why">Shown: {{ describeTrial(correction.trial) }}.</p>
      <p v-if="correction.target" class="why">Target: {{ describeTarget(correction.target) }}.</p>
      <div class="actions">
        <template v-if="!bench.closed">
          <button class="word-link" @click="editing = true">change</button>
          <button class="word-link" @click="tryIt">try it</button>
          <button v-if="correction.order > 1" class="word-link" @click="move(-1)">more important</button>
          <button v-if="correction.order < corrections.length" class="word-link" @click="move(1)">less</button>
          <button class="word-link" @click="remove">remove</button>
        </template>
        <button class="word-link" @click="inHand.sheet = null">close</button>
      </div>
    </template>
  </section>
</template>

<style scoped>
.sheet {
  background: var(--l30);
  margin: 10px -18px 0;
  padding: 12px 18px;
  display: grid;
  gap: 8px;
}
b {
  font-family: var(--sans);
  font-size: 12px;
  background: var(--l5);
  padding: 1px 5px;
  margin-right: 3px;
}
.why {
  font-size: 13px;
  color: var(--panel-quiet);
}
.actions {
  display: flex;
  gap: 4px 14px;
  flex-wrap: wrap;
  font-size: 13px;
}
</style>
