<script setup lang="ts">
/** What leaves the list: slips for those who did not come in yet, and the list itself. */
const props = defineProps<{ classId: number; waiting: number; archived: boolean }>()
const { problem, busy, act } = useAct()
const print = () =>
  act(() => download(`/classes/${props.classId}/people/slips`, { method: 'POST', fileName: 'slips.pdf' }))
</script>

<template>
  <p class="people-out">
    <button v-if="waiting && !archived" class="word-link" :disabled="busy" @click="print">
      {{ busy ? 'being written …' : 'slips to hand out (PDF)' }}
    </button>
    <a :href="`/api/classes/${classId}/people/table`" download>the list as CSV</a>
    <span v-if="problem" role="alert">{{ problem }}</span>
  </p>
</template>

<style scoped>
.people-out {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 20px;
}
</style>
