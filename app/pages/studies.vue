<script setup lang="ts">
import { z } from 'zod'
import { keptStudyListSchema, keptStudySchema } from '~~/shared/pieces/study'

/** A learner's studies that led to nothing yet: kept with the time they took, and read for their maker alone. */
definePageMeta({ whose: ['learner'] })
useHead({ title: 'Studies · Critica' })

const { data: studies, problem: unread, refresh } = useApiData(keptStudyListSchema, '/studies')
const file = ref<File | null>(null),
  minutes = ref('')
const { act, busy, problem } = useAct()
const line = computed(() => {
  const n = studies.value?.length
  return n === undefined
    ? '…'
    : n === 0
      ? 'Try an idea small before you paint it: keep each try here.'
      : `${capital(countWord(n))} ${n === 1 ? 'study' : 'studies'} so far.`
        + ' They go with the piece they led to when you hand it in.'
})
const noFile = ref(false)
async function keep() {
  noFile.value = file.value === null
  if (!file.value) return
  const body = new FormData()
  body.append('minutes', minutes.value)
  body.append('picture', file.value)
  if (!(await act(() => api(keptStudySchema, '/studies', { method: 'POST', body })))) return
  file.value = null
  minutes.value = ''
  await refresh()
}
const drop = (id: number) =>
  act(async () => {
    await api(z.object({}), `/studies/${id}`, { method: 'DELETE' })
    await refresh()
  })
</script>

<template>
  <div class="with-side">
    <header>
      <NuxtLink to="/work" class="quiet">My work</NuxtLink>
      <h1>Studies</h1>
      <p class="words">{{ line }}</p>
      <p v-if="unread || problem" role="alert">{{ unread || problem }}</p>
    </header>
    <section aria-label="Studies">
      <StudyStrip v-if="studies?.length" v-slot="{ study }" :studies="studies">
        <details>
          <summary>what would be said of it</summary>
          <p v-for="sentence in study.said" :key="sentence" class="words">{{ sentence }}</p>
          <p v-if="!study.said.length" class="words">Nothing in it asks for a correction.</p>
        </details>
        <button class="word-link" :disabled="busy" @click="drop(study.id)">take it away</button>
      </StudyStrip>
    </section>
    <aside>
      <form novalidate @submit.prevent="keep">
        <h2>Keep another</h2>
        <v-file-input v-model="file" label="The study" accept="image/png,image/jpeg,image/webp,image/tiff" />
        <p v-if="noFile" role="alert">Choose the picture first.</p>
        <v-text-field v-model="minutes" label="Minutes it took" type="number" min="1" max="6000" />
        <v-btn type="submit" color="primary" variant="flat" :loading="busy">Keep it</v-btn>
        <p class="quiet small">
          Nobody else sees it, or what is said of it, before you hand in what it led to; then your instructor sees the
          studies, and not what was said.
        </p>
      </form>
    </aside>
  </div>
</template>

<style scoped>
form {
  display: grid;
  gap: 12px;
  justify-items: start;
}
form > * {
  width: 100%;
}
form > .v-btn {
  width: auto;
}
summary {
  font-size: 13px;
  cursor: pointer;
}
.words {
  font-size: 15px;
}
.small {
  font-size: 13px;
}
</style>
