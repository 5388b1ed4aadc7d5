<script setup lang="ts">
import { Stage } from '~/wall/konva'
import type { WallFrame } from '~/wall/frame'
import type { Hand } from '~/wall/useHand'
import type { Point } from '~~/shared/notes'

/** The sheet over the hung picture: the hand works on it, areas and marks are drawn on it. */
defineProps<{ width: number; height: number; frame: WallFrame; top: number; hand: Hand; cross: Point | null }>()
const emit = defineEmits<{ open: [correction: number] }>()
const bench = useBenchStore()
</script>

<template>
  <Stage
    :config="{ width, height }"
    class="sheet"
    @pointerdown="hand.press"
    @pointermove="hand.move"
    @pointerup="hand.lift"
    @pointerleave="hand.leave"
    @pointercancel="hand.leave"
    @wheel="hand.wheel"
  >
    <WallMarks :key="String(bench.unseen)" :frame="frame" :top="top" :cross="cross" @open="emit('open', $event)" />
  </Stage>
</template>

<style scoped>
.sheet {
  position: absolute;
  inset: 0;
  touch-action: none;
}
</style>
