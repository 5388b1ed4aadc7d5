<script setup lang="ts">
import { moveArrayElement, useSortable } from '@vueuse/integrations/useSortable'
import type { SortableEvent } from 'sortablejs'
import type { Correction } from '~~/shared/critique'
import { tagOf } from '~~/core/critique/stations/table'

/** The corrections as a strip of tags over the wall; one opens as a sheet beside it. */
const bench = useBenchStore(),
  sight = useSightStore(),
  inHand = useInHandStore(),
  edits = useEditsStore(),
  { beginCorrection } = useDrawFor()
const corrections = computed(() => bench.critique.corrections ?? [])
const tries = computed(() => corrections.value.filter(c => c.trial).length)

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
</script>

<template>
  <div class="strip">
    <div ref="row" class="tags">
      <button
        v-for="c in dragged"
        :key="c.id"
        class="tag"
        :class="{ dragged: !bench.closed }"
        :aria-expanded="inHand.sheet === c.id"
        :title="c.what"
        @click="inHand.look(c.id)"
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
        v-if="!bench.closed"
        class="tag"
        aria-label="New correction"
        title="New correction (m)"
        @click="beginCorrection()"
      >
        +
      </button>
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
</style>
