<script setup lang="ts">
import type { MarkedArea } from '~~/shared/critique'

/** What can be done with a drawn area, whatever a station reads of it. */
const props = defineProps<{ area: MarkedArea }>()
const emit = defineEmits<{ reshape: []; rename: [to: string] }>()
const bench = useBenchStore(),
  sight = useSightStore(),
  edits = useEditsStore()
const renaming = ref(false)
const reshaping = computed(() => sight.reshaping?.id === props.area.id)
function rename(to: string) {
  renaming.value = false
  emit('rename', to)
}
</script>

<template>
  <template v-if="!bench.closed">
    <button
      class="word-link"
      :aria-label="`${reshaping ? 'keep the shape of' : 'reshape'} ${area.name}`"
      @click="emit('reshape')"
    >
      {{ reshaping ? 'keep this shape' : 'reshape' }}
    </button>
    <button class="word-link" :aria-label="`rename ${area.name}`" @click="renaming = !renaming">rename</button>
    <button class="word-link" :aria-label="`remove the area ${area.name}`" @click="edits.removeArea(area)">
      remove
    </button>
    <v-text-field
      v-if="renaming"
      :model-value="area.name"
      label="Name of the area"
      maxlength="60"
      autofocus
      class="rename"
      @change="rename(($event.target as HTMLInputElement).value)"
      @keydown.esc="renaming = false"
    />
  </template>
</template>

<style scoped>
.rename {
  width: 100%;
}
</style>
