<script setup lang="ts">
import { useSaid } from '~/sitting/useSaid'
import type { SittingPiece } from '~~/shared/sitting'

/** What is said of a piece, written while it is said. */
const props = defineProps<{ sittingId: number; piece: SittingPiece; label: string }>()
const { said, unsaved, problem } = useSaid(props.sittingId, props.piece)
useLeaveWarning(() => unsaved.value)
</script>

<template>
  <div>
    <v-textarea
      v-model="said"
      :label="label"
      rows="2"
      max-rows="7"
      auto-grow
      hide-details
      maxlength="4000"
      density="compact"
    />
    <p v-if="problem" role="alert" class="small">Not saved yet: {{ problem }}</p>
  </div>
</template>

<style scoped>
.small {
  font-size: 13px;
}
</style>
