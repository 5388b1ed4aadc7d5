<script setup lang="ts">
import { useFullscreen, useIdle } from '@vueuse/core'
import { useRoomChannel, type RoomCurtain, type RoomPiece, type RoomSight } from '~/sitting/room'
import type { Point } from '~~/shared/notes'

/** What the room sees: the wall, the lens, the marks. It follows the bench, and does nothing by itself. */
definePageMeta({ layout: 'bench', whose: ['instructor'] })
useHead({ title: 'The room · Critica' })
const { data, post } = useRoomChannel(Number(useRoute().params.id))
const bench = useBenchStore()
const piece = shallowRef<RoomPiece | null>(null),
  seen = shallowRef<RoomSight | null>(null),
  pointer = shallowRef<Point | null>(null),
  curtain = shallowRef<RoomCurtain | null>(null)
watch(data, told => {
  if (!told) return
  if (told.kind === 'piece') {
    bench.show(told)
    if (piece.value?.piece.id !== told.piece.id) pointer.value = null
    piece.value = told
    curtain.value = null
  } else if (told.kind === 'sight') seen.value = told
  else if (told.kind === 'pointer') pointer.value = told.at
  else if (told.kind === 'curtain') curtain.value = told
})
onMounted(() => post({ kind: 'asked' }))
const { toggle, isFullscreen } = useFullscreen(),
  { idle } = useIdle(2500)
</script>

<template>
  <div class="room" :class="{ idle }">
    <p v-if="curtain" class="curtain" role="status">
      <span class="call">{{ curtain.call }}</span>{{ curtain.words }}
    </p>
    <RoomScreen
      v-else-if="piece"
      :key="piece.piece.id"
      :title="piece.piece.title"
      :by="piece.by"
      :seen="seen"
      :pointer="pointer"
    />
    <p v-else class="curtain" role="status">Nothing hangs yet.</p>
    <button v-if="!idle" class="word-link full" @click="toggle">
      {{ isFullscreen ? 'leave full screen' : 'full screen' }}
    </button>
  </div>
</template>

<style scoped>
.room {
  height: 100vh;
  background: var(--wall);
}
.idle {
  cursor: none;
}
.curtain {
  height: 100%;
  display: grid;
  place-content: center;
  text-align: center;
  gap: 10px;
  color: var(--l0);
  font-family: var(--serif);
  font-size: 22px;
}
.call {
  font-size: 38px;
}
.full {
  position: absolute;
  right: 16px;
  bottom: 8px;
  color: var(--l0);
}
</style>
