<script setup lang="ts">
import { setAsideSchema } from '~~/shared/standards'
import type { PieceReading } from '~~/core/critique/stations/piece'
import { placeWords } from '~~/core/critique/stations/places'
import { readingBound } from '~/utils/readingBound'

/**
 * Why a reading is said: what it teaches, the figure and its bound, whose bound it is, the places, and what shakes it.
 */
const props = defineProps<{ reading: PieceReading; setAside?: boolean }>()
const bench = useBenchStore()
const bound = computed(() => readingBound(props.reading))
const places = computed(() => [...new Set((props.reading.points ?? []).map(placeWords))].slice(0, 4))
const standards = ref(false)

/** Set aside three times in a class, it is the standard that does not fit. */
const OFTEN = 3
const times = ref(0)
watch(
  () => props.setAside,
  async aside => {
    if (!aside || !props.reading.figure?.house || bench.closed) return
    const counts = await api(setAsideSchema, `/classes/${bench.piece.classId}/set-aside`).catch(() => null)
    times.value = counts?.[props.reading.id] ?? 0
  },
  { immediate: true }
)
</script>

<template>
  <div class="why">
    <template v-if="!setAside">
      <p>{{ reading.why }}</p>
      <p v-if="bound">{{ bound }}</p>
      <p v-if="places.length">Where: {{ places.join(', ') }}.</p>
      <p v-if="reading.doubts?.length">Take it with care: {{ reading.doubts.join('; ') }}.</p>
    </template>
    <button v-if="setAside && times >= OFTEN" class="word-link" @click="standards = true">
      set aside {{ countWord(times) }} times in this class: change the house standard?
    </button>
    <button v-else-if="!setAside && reading.figure?.house && !bench.closed" class="word-link" @click="standards = true">
      the house standards
    </button>
    <LazyStandardsDialog
      v-if="standards"
      v-model="standards"
      :class-id="bench.piece.classId"
      :class-name="bench.piece.className"
      @changed="bench.refreshCritique()"
    />
  </div>
</template>

<style scoped>
.why {
  display: grid;
  gap: 4px;
  justify-items: start;
  font-size: 13px;
  color: var(--panel-quiet);
  margin: 6px 0 2px;
}
</style>
