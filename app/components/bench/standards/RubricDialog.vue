<script setup lang="ts">
import { z } from 'zod'
import { DEFAULT_RUBRIC, type Quality } from '~~/core/critique/rubric'
import { rubricSchema } from '~~/shared/score'

/** The rubric of a class: how many qualities, their words, their order. Pieces already scored keep theirs. */
const open = defineModel<boolean>({ required: true })
const bench = useBenchStore()
const list = ref<Quality[]>([]),
  problem = ref(''),
  { wrong, check } = useCheckedForm(rubricSchema, () => list.value)
watch(open, now => {
  if (now) list.value = bench.critique.rubric.map(q => ({ ...q }))
  problem.value = ''
})
const word = (i: number, title: string) => {
  list.value = list.value.map((q, at) => (at === i ? { ...q, title } : q))
}
function move(i: number, by: -1 | 1) {
  const next = [...list.value]
  ;[next[i], next[i + by]] = [next[i + by]!, next[i]!]
  list.value = next
}
function add() {
  let n = list.value.length + 1
  while (list.value.some(q => q.key === `own-${n}`)) n++
  list.value = [...list.value, { key: `own-${n}`, title: '', station: null }]
}
async function keep() {
  const body = check()
  if (!body) return
  try {
    await api(z.object({}), `/classes/${bench.piece.classId}/rubric`, { method: 'PUT', body })
    await bench.refreshCritique()
    open.value = false
  } catch (error) {
    problem.value = messageOf(error)
  }
}
</script>

<template>
  <v-dialog v-model="open" max-width="620" aria-labelledby="rubric-title">
    <v-card>
      <div class="dialog-sheet small">
        <h2 id="rubric-title">Rubric of {{ bench.piece.className }}</h2>
        <p class="quiet-text">A piece that is scored keeps the qualities it was scored by.</p>
        <ol>
          <li v-for="(q, i) in list" :key="q.key">
            <input
              :value="q.title"
              :aria-label="`Quality ${i + 1}`"
              maxlength="120"
              :aria-invalid="wrong[i] !== undefined"
              :aria-describedby="wrong[i] && `quality-${i}-wrong`"
              @input="word(i, ($event.target as HTMLInputElement).value)"
            />
            <button class="word-link" :disabled="i === 0" :aria-label="`move quality ${i + 1} up`" @click="move(i, -1)">
              up
            </button>
            <button
              class="word-link"
              :disabled="i === list.length - 1"
              :aria-label="`move quality ${i + 1} down`"
              @click="move(i, 1)"
            >
              down
            </button>
            <button
              class="word-link"
              :aria-label="`remove quality ${i + 1}`"
              @click="list = list.filter((_, at) => at !== i)"
            >
              remove
            </button>
            <p v-if="wrong[i]" :id="`quality-${i}-wrong`" role="alert" class="wrong">{{ wrong[i] }}</p>
          </li>
        </ol>
        <p v-if="problem || wrong['']" role="alert">{{ problem || wrong[''] }}</p>
        <div class="actions">
          <v-btn @click="keep">Keep it</v-btn>
          <button class="word-link" @click="add">another quality</button>
          <button class="word-link" @click="list = DEFAULT_RUBRIC.map(q => ({ ...q }))">the shipped twelve</button>
        </div>
      </div>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.small {
  font-size: 13px;
}
.quiet-text {
  color: var(--panel-quiet);
}
ol {
  list-style: none;
  padding: 0;
  display: grid;
  gap: 6px;
}
li {
  display: grid;
  grid-template-columns: 1fr auto auto auto;
  gap: 12px;
  align-items: center;
}
.wrong {
  grid-column: 1 / -1;
}
input {
  background: var(--l20);
  color: inherit;
  border: 1px solid var(--l60);
  padding: 4px 8px;
  font: inherit;
}
.actions {
  display: flex;
  gap: 18px;
  align-items: center;
}
</style>
