<script setup lang="ts">
import type { PieceReading } from '~~/core/critique/stations/piece'

/** One reading: a sentence to click. In hand it shows its evidence on the picture, and what can be done with it. */
const props = defineProps<{ reading: PieceReading }>()
const emit = defineEmits<{ exercise: [] }>()
const bench = useBenchStore(),
  inHand = useInHandStore(),
  edits = useEditsStore()
const judged = computed(() => bench.judgementOf(props.reading.key))
const verdict = computed(() => bench.verdictOf(props.reading))
const held = computed(() => inHand.reading === props.reading.key)
const toggle = () => (held.value ? inHand.put() : inHand.take(props.reading))
</script>

<template>
  <article v-if="judged === 'dismissed'" class="reading aside" :data-reading="reading.id">
    <span class="words">{{ reading.sentence }}</span>
    <button v-if="!bench.closed" class="word-link" @click="edits.judge(reading.key, null)">take back</button>
    <ReadingWhy :reading="reading" set-aside />
  </article>
  <article v-else class="reading" :class="[verdict, { held }]" :data-reading="reading.id" :data-verdict="verdict">
    <button class="sentence words" :aria-expanded="held" @click="toggle">
      {{ reading.sentence }}<span v-if="judged" class="own"> (your verdict)</span>
    </button>
    <ReadingHand v-if="held" :reading="reading" @exercise="emit('exercise')" />
  </article>
</template>

<style scoped>
.reading {
  border-bottom: 1px solid var(--l40);
  margin: 0 -18px;
  padding: 0 18px;
}
.sentence {
  display: block;
  width: 100%;
  text-align: left;
  padding: 9px 0;
  color: var(--panel-ink);
}
.sentence:hover {
  text-decoration: underline;
  text-decoration-thickness: 1px;
  text-underline-offset: 3px;
}
.works:not(.held) .sentence {
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
  padding: 5px 0;
  font-size: 15px;
  color: var(--panel-quiet);
}
.held {
  background: var(--l30);
}
.own {
  font-family: var(--sans);
  font-size: 12px;
  color: var(--panel-quiet);
}
.aside {
  display: flex;
  flex-wrap: wrap;
  gap: 0 12px;
  align-items: baseline;
  padding-top: 6px;
  padding-bottom: 6px;
  color: var(--panel-quiet);
}
.aside .words {
  font-size: 14px;
  flex: 1;
}
</style>
