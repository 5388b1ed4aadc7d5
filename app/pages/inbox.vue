<script setup lang="ts">
import { useDropZone, useIntervalFn } from '@vueuse/core'
import { AppError } from '~~/shared/errors'
import { broughtSchema, inboxSchema, LETTER_LIMITS } from '~~/shared/letter'

/** Pictures that came by mail wait here: nothing is taken without a yes. */
definePageMeta({ whose: ['instructor'] })
useHead({ title: 'By mail · Critica' })
const { data: inbox, problem: unread, refresh } = useApiData(inboxSchema, '/inbox')
const EVERY_MS = 10_000
useIntervalFn(() => void refresh(), EVERY_MS)
/** Taken while this page is open. */
const taken = ref<{ readonly title: string; readonly submissionId: number }[]>([])
function decided(title: string, submissionId: number | null) {
  if (submissionId) taken.value.push({ title, submissionId })
  void refresh()
}
/** The mailbox knows of some whose they are; of none, it is said once. */
const some = computed(() => inbox.value?.waiting.some(l => l.proven) ?? false)
const waiting = computed(() => inbox.value?.waiting.reduce((n, l) => n + l.pictures.length, 0) ?? 0)
const load = computed(() => {
  if (!inbox.value) return '…'
  if (waiting.value === 0) return 'Nothing waits by mail.'
  return `${capital(countWord(waiting.value))} picture${waiting.value === 1 ? '' : 's'} came by mail.`
})

const { problem, busy, act } = useAct(),
  zone = ref<HTMLElement>(),
  chooser = ref<HTMLInputElement>(),
  said = ref('')
/** A mail that somebody sent to the instructor's own address, saved there. */
const bring = (files: FileList | File[] | null) =>
  act(async () => {
    said.value = ''
    const [file] = files ?? []
    if (!file) return
    if (file.size > LETTER_LIMITS.bytes)
      throw new AppError('too-large', `The mail is larger than ${LETTER_LIMITS.bytes / 1024 / 1024} MB.`)
    const body = new FormData()
    body.append('letter', file)
    const brought = await api(broughtSchema, '/inbox', { method: 'POST', body })
    said.value =
      brought.reason
      || `${capital(countWord(brought.pictures))} picture${brought.pictures === 1 ? ' of it waits.' : 's of it wait.'}`
    if (chooser.value) chooser.value.value = ''
    await refresh()
  })
const { isOverDropZone } = useDropZone(zone, { onDrop: bring })
</script>

<template>
  <div ref="zone" class="inbox" :class="{ over: isOverDropZone }">
    <header>
      <h1>{{ load }}</h1>
      <p class="word-row">
        <button type="button" class="word-link" :disabled="busy" @click="chooser?.click()">
          bring in a saved mail
        </button>
        <NuxtLink class="word-link" to="/outbox">what was sent</NuxtLink>
      </p>
      <input ref="chooser" type="file" accept=".eml,message/rfc822" hidden @change="bring(chooser!.files)" />
      <p v-if="unread || problem" role="alert">{{ unread || problem }}</p>
      <p v-if="inbox?.fault" role="alert">{{ inbox.fault }}</p>
      <p v-if="waiting && !some" class="quiet">
        Nothing proves that these are from whom they say: look whether they can be.
      </p>
      <p v-if="said" role="status">{{ said }}</p>
      <p v-for="t in taken" :key="t.submissionId" role="status">
        <NuxtLink :to="`/bench/${t.submissionId}`">“{{ t.title }}”</NuxtLink> is on the desk.
      </p>
    </header>
    <LetterCard
      v-for="letter in inbox?.waiting"
      :key="letter.id"
      :letter="letter"
      :doubted="some && !letter.proven"
      @decided="decided"
    />
    <section v-if="inbox?.refused.length" aria-labelledby="refused">
      <h2 id="refused">Nothing was taken of</h2>
      <p v-for="r in inbox.refused" :key="r.id">
        {{ r.subject ? `“${r.subject}”` : 'a mail without a subject' }}
        <span class="quiet"
          >{{ r.from.name || r.from.address || 'from nobody' }}, {{ dayWords(r.receivedAt) }}: {{ r.reason }}.</span
        >
      </p>
    </section>
  </div>
</template>

<style scoped>
.inbox {
  max-width: 860px;
  min-height: 60vh;
  padding-top: 20px;
  display: grid;
  gap: 14px;
  align-content: start;
}
.over {
  outline: 2px solid var(--accent);
  outline-offset: 12px;
}
header,
section {
  display: grid;
  gap: 8px;
}
section {
  border-top: 1px solid var(--line);
  padding-top: 14px;
}
</style>
