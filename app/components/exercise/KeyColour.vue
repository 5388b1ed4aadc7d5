<script setup lang="ts">
import { keyWord, type Settings } from '~~/core/exercise'
import { hexOfLinear } from '~~/core/colour/srgb'
import { strongAt } from '~~/core/exercise/worksheet/mixtures'

/** A key colour in its word, with a patch of it. */
const props = defineProps<{ settings: Pick<Settings, 'wheel' | 'hue'> }>()
const hex = computed(() => hexOfLinear(strongAt(props.settings.wheel, props.settings.hue ?? 0)))
</script>

<template>
  <span v-if="settings.hue !== null" class="key"
    ><i :style="{ background: hex }" aria-hidden="true" />{{ keyWord(settings) }}</span
  >
</template>

<style scoped>
.key {
  white-space: nowrap;
}
i {
  display: inline-block;
  width: 11px;
  height: 11px;
  margin-right: 5px;
}
</style>
