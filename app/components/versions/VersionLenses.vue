<script setup lang="ts">
import type { WheelName } from '~~/core/wheel/steps'
import type { VersionsLens } from '~/workers/versions-protocol'

/** The same lens on both versions, or what changed between them. */
const props = defineProps<{ wheel: WheelName }>()
const lens = defineModel<VersionsLens>({ required: true })
const LENSES = computed((): { label: string; lens: VersionsLens }[] => [
  { label: 'as they are', lens: { name: 'plain' } },
  { label: 'what changed', lens: { name: 'difference', kind: 'colour' } },
  { label: 'how value moved', lens: { name: 'difference', kind: 'value' } },
  { label: 'value', lens: { name: 'grey' } },
  { label: 'squint', lens: { name: 'squint' } },
  { label: 'warm and cool', lens: { name: 'temperature' } },
  { label: 'colours', lens: { name: 'families', wheel: props.wheel } },
  { label: 'where the eye goes', lens: { name: 'attention' } }
])
const chosen = computed({
  get: () => JSON.stringify(lens.value),
  set: key => {
    const found = LENSES.value.find(l => JSON.stringify(l.lens) === key)
    if (found) lens.value = found.lens
  }
})
</script>

<template>
  <WordChoice
    v-model="chosen"
    label="Seen as"
    class="lenses"
    :choices="LENSES.map(l => ({ key: JSON.stringify(l.lens), label: l.label }))"
  />
</template>

<style scoped>
.lenses {
  color: var(--l80);
  font-size: 13px;
}
.lenses :deep(.chosen) {
  color: var(--l100);
  border-color: var(--l100);
}
</style>
