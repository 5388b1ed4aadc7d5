<script setup lang="ts">
import { useClipboard } from '@vueuse/core'
import { classDetailsSchema } from '~~/shared/class'

/** Joining by a code, for a room: written on the board, and turned off when everybody is in. */
const props = defineProps<{ classId: number; code: string | null }>()
const emit = defineEmits<{ changed: [] }>()
const { problem, act } = useAct(),
  { copy, copied } = useClipboard({ legacy: true })
const link = computed(() => pageLink(`/join/${props.code}`))
async function turn(method: 'POST' | 'DELETE') {
  if (await act(() => api(classDetailsSchema, `/classes/${props.classId}/code`, { method }))) emit('changed')
}
</script>

<template>
  <section class="join-code" aria-labelledby="code-title">
    <h2 id="code-title">Joining by code</h2>
    <template v-if="code">
      <p class="code">{{ code.slice(0, 4) }} {{ code.slice(4) }}</p>
      <p class="quiet">
        Whoever knows it joins, at {{ link.replace(/^https?:\/\//, '') }}. Turn it off when everybody is in.
      </p>
      <p class="word-row">
        <button class="word-link" @click="copy(link)">{{ copied ? 'copied' : 'copy the link' }}</button>
        <button class="word-link" @click="turn('POST')">another code</button>
        <button class="word-link" @click="turn('DELETE')">turn it off</button>
      </p>
    </template>
    <template v-else>
      <p class="quiet">Nobody joins by code now. With one, whoever is in the room can come in by themselves.</p>
      <button class="word-link" @click="turn('POST')">make a code</button>
    </template>
    <p v-if="problem" role="alert">{{ problem }}</p>
  </section>
</template>

<style scoped>
.join-code {
  display: grid;
  gap: 8px;
  justify-items: start;
}
.code {
  font-size: 30px;
  letter-spacing: 0.08em;
}
</style>
