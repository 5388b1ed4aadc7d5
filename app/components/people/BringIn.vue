<script setup lang="ts">
import { watchDebounced } from '@vueuse/core'
import { broughtSchema, rosterPreviewSchema, type RosterPreview } from '~~/shared/roster'

/** People typed, pasted or read from a file: what will happen stands under it before anything does. */
const props = defineProps<{ classId: number }>()
const emit = defineEmits<{ brought: []; done: [] }>()
const text = ref(''),
  role = ref<'learner' | 'assistant' | 'instructor'>('learner'),
  preview = shallowRef<RosterPreview | null>(null),
  chooser = useTemplateRef('chooser'),
  dragged = ref(false)
const { problem, busy, act } = useAct()
const path = `/classes/${props.classId}/people`
const ROLES = [
  { key: 'learner', label: 'learners' },
  { key: 'assistant', label: 'assistants: they mark and draft' },
  { key: 'instructor', label: 'instructors' }
]

let asked = 0
async function look() {
  const mine = ++asked
  if (!text.value.trim()) {
    preview.value = null
    problem.value = ''
    return
  }
  await act(async () => {
    const found = await api(rosterPreviewSchema, `${path}/preview`, {
      method: 'POST',
      body: { text: text.value, role: role.value }
    })
    if (mine === asked) preview.value = found
  })
  if (problem.value && mine === asked) preview.value = null
}
watchDebounced([text, role], look, { debounce: 300 })
async function take(files: FileList | null | undefined) {
  dragged.value = false
  if (files?.[0]) text.value = await textOf(files[0])
}
const right = computed(() => preview.value?.rows.filter(r => r.outcome === 'new' || r.outcome === 'joins').length ?? 0)
const mailed = computed(
  () => preview.value?.rows.filter(r => r.outcome === 'joins' || (r.outcome === 'new' && r.email)).length ?? 0
)
/** How those who are brought in get their links. */
const handed = computed(() =>
  mailed.value === 0
    ? `They are handed ${right.value === 1 ? 'a slip' : 'slips'}.`
    : mailed.value === right.value
      ? 'Each is mailed a link.'
      : `${capital(countWord(mailed.value))} ${mailed.value === 1 ? 'is' : 'are'} mailed a link;`
        + ' the others are handed slips.'
)
async function bring() {
  const went = await act(() =>
    api(broughtSchema, path, { method: 'POST', body: { text: text.value, role: role.value } })
  )
  if (went) emit('brought')
}
</script>

<template>
  <form
    class="bring-in wide"
    :class="{ dragged }"
    novalidate
    @submit.prevent="bring"
    @dragover.prevent="dragged = true"
    @dragleave="dragged = false"
    @drop.prevent="take($event.dataTransfer?.files)"
  >
    <v-textarea
      v-model="text"
      label="Names, one a line, with an address where there is one"
      placeholder="Wren Hale, wren@school.example"
      :rows="4"
      :max-rows="10"
      autofocus
    />
    <p class="quiet">
      Or paste a table, or
      <button type="button" class="word-link" @click="chooser?.click()">read a CSV file</button>.
      <input
        ref="chooser"
        type="file"
        accept=".csv,.tsv,.txt,text/csv,text/plain"
        hidden
        @change="take(($event.target as HTMLInputElement).files)"
      />
    </p>
    <WordChoice v-model="role" label="They come as" :choices="ROLES" />
    <p v-if="problem" role="alert" class="problem">{{ problem }}</p>
    <RosterPreviewList v-if="preview" :preview="preview" />
    <p class="word-row">
      <v-btn type="submit" color="primary" variant="flat" :disabled="right === 0" :loading="busy && right > 0">{{
        right ? `Bring in ${countWord(right)}` : 'Bring them in'
      }}</v-btn>
      <button type="button" class="word-link" @click="emit('done')">not now</button>
      <span v-if="right" class="quiet">{{ handed }}</span>
    </p>
  </form>
</template>

<style scoped>
.bring-in {
  display: grid;
  gap: 10px;
  border: 1px solid var(--line);
  padding: 16px;
}
.bring-in.dragged {
  border-color: var(--accent);
}
.problem {
  color: var(--accent);
}
</style>
