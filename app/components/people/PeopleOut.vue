<script setup lang="ts">
/** What leaves the list: slips for those who did not come in yet, and the list itself. */
const props = defineProps<{ classId: number; waiting: number; learners: number; archived: boolean }>()
const { problem, busy, act } = useAct()
const print = () =>
  act(() => download(`/classes/${props.classId}/people/slips`, { method: 'POST', fileName: 'slips.pdf' }))
</script>

<template>
  <button v-if="waiting && !archived" class="word-link" :disabled="busy" @click="print">
    {{ busy ? 'being written …' : 'slips to hand out (PDF)' }}
  </button>
  <a v-if="learners" class="word-link" :href="apiAt(`/classes/${classId}/people/table`)" download>the list as CSV</a>
  <span v-if="problem" role="alert">{{ problem }}</span>
</template>
