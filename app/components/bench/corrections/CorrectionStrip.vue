<script setup lang="ts">
import { moveArrayElement, useSortable } from '@vueuse/integrations/useSortable'
import type { SortableEvent } from 'sortablejs'
import { describeTarget } from '~~/core/critique/target'
import { describeTrial } from '~~/core/trial/words'
import type { Correction } from '~~/shared/critique'
import { tagOf } from '~~/core/critique/stations/table'

/** The corrections as a strip of tags over the wall; one opens as a sheet below it. */
const open = defineModel<number | null>({ required: true })
const bench = useBenchStore(),
  sight = useSightStore(),
  pencil = usePencilStore(),
  inHand = useInHandStore(),
  edits = useEditsStore()
const editing = ref(false)

const corrections = computed(() => bench.critique.corrections ?? [])
const tries = computed(() => corrections.value.filter(c => c.trial).length)
const current = computed(() => corrections.value.find(c => c.id === open.value) ?? null)
watch(open, () => {
  editing.value = false
})

/** Dragged tags keep the order they were dropped in; the numbers follow. */
const row = ref<HTMLElement>(),
  dragged = ref<Correction[]>([])
watch(
  corrections,
  now => {
    dragged.value = [...now]
  },
  { immediate: true }
)
useSortable(row, dragged, {
  draggable: '.dragged',
  animation: 120,
  onUpdate: (event: SortableEvent) => {
    moveArrayElement(dragged, event.oldDraggableIndex!, event.newDraggableIndex!, event)
    void nextTick(() => edits.orderCorrections(dragged.value.map(c => c.id)))
  }
})

async function move(by: -1 | 1) {
  const order = corrections.value.map(c => c.id)
  const at = order.indexOf(current.value!.id)
  ;[order[at], order[at + by]] = [order[at + by]!, order[at]!]
  await edits.orderCorrections(order)
}
/** The trial has the panel beside the wall, so that the picture stays in sight. */
function tryIt() {
  sight.trying = current.value!.id
  open.value = null
}
async function remove() {
  if (await edits.removeCorrection(current.value!)) open.value = null
}
</script>

<template>
  <div class="strip">
    <div ref="row" class="tags">
      <button
        v-for="c in dragged"
        :key="c.id"
        class="tag"
        :class="{ dragged: !bench.released }"
        :aria-expanded="open === c.id"
        :title="c.what"
        @click="open = open === c.id ? null : c.id"
      >
        {{ tagOf(c) }}
      </button>
      <button
        v-if="tries > 1"
        class="tag"
        :aria-pressed="sight.trying === 'all'"
        title="All trials together"
        @click="sight.trying = sight.trying === 'all' ? null : 'all'"
      >
        all
      </button>
      <button
        v-if="!bench.released"
        class="tag"
        aria-label="New correction"
        title="New correction (m)"
        @click="beginCorrection()"
      >
        +
      </button>
    </div>
    <div v-if="inHand.correction" v-show="!pencil.tool" class="sheet">
      <CorrectionForm :key="inHand.begun" :model-value="inHand.correction" @done="inHand.correction = null" />
    </div>
    <div v-else-if="current" v-show="!pencil.tool" class="sheet">
      <CorrectionForm v-if="editing" :id="current.id" :model-value="current" @done="editing = false" />
      <template v-else>
        <p class="words">{{ current.what }}</p>
        <p v-if="current.reason && current.reason !== current.what" class="why">{{ current.reason }}</p>
        <p v-if="current.todo" class="words">{{ current.todo }}</p>
        <p v-if="current.trial" class="why">Shown: {{ describeTrial(current.trial) }}.</p>
        <p v-if="current.target" class="why">Target: {{ describeTarget(current.target) }}.</p>
        <div v-if="!bench.released" class="actions">
          <button class="word-link" @click="editing = true">change</button>
          <button class="word-link" @click="tryIt">try it</button>
          <button class="word-link" :disabled="current.order === 1" @click="move(-1)">more important</button>
          <button class="word-link" :disabled="current.order === corrections.length" @click="move(1)">less</button>
          <button class="word-link" @click="remove">remove</button>
        </div>
      </template>
    </div>
  </div>
</template>

<style scoped>
.strip {
  display: grid;
  justify-items: end;
  gap: 8px;
}
.tags {
  display: flex;
  gap: 6px;
  flex-wrap: wrap;
  justify-content: flex-end;
}
.tag {
  min-width: 24px;
  height: 24px;
  padding: 0 6px;
  background: var(--l5);
  color: var(--l96);
  border: 1px solid var(--l96);
  font-size: 13px;
  font-weight: 600;
}
.tag[aria-expanded='true'],
.tag[aria-pressed='true'] {
  background: var(--l96);
  color: var(--l5);
}
.sheet {
  width: 340px;
  max-height: calc(100vh - 240px);
  overflow: auto;
  background: var(--panel);
  color: var(--panel-ink);
  border: 1px solid var(--l96);
  padding: 14px;
  display: grid;
  gap: 8px;
}
.why {
  font-size: 13px;
  color: var(--panel-quiet);
}
.actions {
  display: flex;
  gap: 14px;
  flex-wrap: wrap;
  color: var(--panel-quiet);
}
</style>
