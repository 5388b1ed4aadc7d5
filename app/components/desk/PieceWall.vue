<script setup lang="ts">
import { useIntersectionObserver } from '@vueuse/core'
import type { ListedSubmission } from '~~/shared/pieces/submission'

/** Pieces hung a few a task; as the end comes into sight, more are asked for. */
const props = defineProps<{ pieces: readonly ListedSubmission[]; of: string | null; more: boolean }>()
const emit = defineEmits<{ end: [] }>()
defineSlots<{ default: (given: { piece: ListedSubmission }) => unknown }>()

/** Pieces hung in one task. */
const A_TASK = 5
const shown = useGrowing(
  computed(() => props.pieces),
  A_TASK,
  () => props.of
)
const end = useTemplateRef<HTMLElement>('end')
useIntersectionObserver(
  end,
  // Told late, it is told several at once: the last says how it stands now.
  told => {
    if (told.at(-1)?.isIntersecting) emit('end')
  },
  { rootMargin: '400px' }
)
</script>

<template>
  <div class="hanging">
    <template v-for="piece in shown" :key="piece.id"><slot :piece="piece" /></template>
  </div>
  <p v-if="more && shown.length === pieces.length" ref="end" class="quiet">…</p>
</template>

<style scoped>
.hanging {
  display: flex;
  flex-wrap: wrap;
  gap: 26px 22px;
  align-items: flex-start;
}
.hanging > :deep(*) {
  max-width: 100%;
}
</style>
