<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { submissionListSchema, type ListedSubmission } from '~~/shared/submission'

useHead({ title: 'My work · Critica' })
const pieces = ref<ListedSubmission[]>([]), ready = ref(false), problem = ref('')
const shown = useGrowing(pieces, 5)
async function fetchWork() {
  try {
    pieces.value = await api(submissionListSchema, '/submissions')
  } catch (error) {
    problem.value = messageOf(error)
  }
  ready.value = true
}
onMounted(fetchWork)
useIntervalFn(() => {
  if (pieces.value.some(p => p.measurement.state === 'queued' || p.measurement.state === 'measuring')) void fetchWork()
}, 1500)

const released = computed(() => pieces.value.filter(p => p.state === 'released').length)
const line = computed(() => !pieces.value.length ? 'Nothing handed in yet.'
  : released.value ? `${capital(countWord(released.value))} critique${released.value === 1 ? ' is' : 's are'} ready to read.` : 'No critique is released yet.')
const linkOf = (p: ListedSubmission): string => p.state === 'released' ? `/critique/${p.id}` : p.assignmentId ? `/exercises/${p.assignmentId}` : '/work'
const stateOf = (p: ListedSubmission): string => p.state === 'released' ? 'critique ready' : p.assignmentId ? 'exercise, see the checks' : 'waits for the instructor'
</script>

<template>
  <div>
    <h1 class="line">{{ ready ? line : '…' }}</h1>
    <p v-if="problem" role="alert">{{ problem }}</p>
    <div class="hanging">
      <div v-for="p in shown" :key="p.id">
        <DeskPiece :piece="p" :to="linkOf(p)" />
        <p class="state" :class="{ ready: p.state === 'released' }">{{ stateOf(p) }}</p>
      </div>
    </div>
    <v-btn to="/hand-in" color="primary" variant="flat">Hand in a picture</v-btn>
  </div>
</template>

<style scoped>
.line { margin: 20px 0 14px; font-size: 23px; }
.hanging { display: flex; flex-wrap: wrap; gap: 26px 22px; align-items: flex-start; margin-bottom: 28px; }
.state { font-size: 13px; color: var(--quiet); margin-top: 4px; }
.state.ready { color: var(--accent); font-weight: 600; }
</style>
