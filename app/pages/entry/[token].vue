<script setup lang="ts">
import { z } from 'zod'
import { entrySchema } from '~~/shared/call'

/** A guest's own link: confirm, read what is said, or take it all away. */
definePageMeta({ whose: 'anybody' })
const path = `/entry/${encodeURIComponent(String(useRoute().params.token))}`
const { data: entry, problem: none, refresh } = useApiData(entrySchema, path),
  { problem, busy, act } = useAct(),
  taking = ref(false),
  gone = ref(false)
useHead({
  title: () => `${entry.value?.title ?? 'Your piece'} · Critica`,
  meta: [{ name: 'robots', content: 'noindex' }]
})
const nothing = z.object({})
const confirm = () =>
  act(async () => {
    await api(nothing, `${path}/confirm`, { method: 'POST' })
    await refresh()
  })
const read = () =>
  act(async () => {
    await api(nothing, `${path}/session`, { method: 'POST' })
    await useSessionStore().load()
    await navigateTo(`/critique/${entry.value!.submissionId}`)
  })
const takeAway = () =>
  act(async () => {
    await api(nothing, path, { method: 'DELETE' })
    gone.value = true
  })
const STANDING = {
  sent: '',
  waiting: 'It is in, and waits to be drawn or chosen. You are written to either way.',
  taken: 'It is on the desk. You are written to when it has been looked at.',
  passed: 'More came in than can be looked at, and it is not among those. Thank you for handing in.'
} as const
const standing = computed(() => {
  if (!entry.value) return ''
  return entry.value.ready || entry.value.said.length ? 'It has been looked at.' : STANDING[entry.value.state]
})
</script>

<template>
  <section v-if="gone" class="entry">
    <h1>It is gone.</h1>
    <p class="words">
      Your piece, your address and all that was said of it are deleted. This link opens nothing any more.
    </p>
  </section>
  <section v-else-if="none" class="entry">
    <h1 role="alert">{{ none }}</h1>
  </section>
  <section v-else-if="entry" class="entry">
    <h1>“{{ entry.title }}”</h1>
    <p class="quiet">{{ entry.guardian ? `By ${entry.name}, for` : 'For' }} “{{ entry.call }}”</p>
    <template v-if="entry.state === 'sent'">
      <p class="words">
        {{
          entry.guardian
            ? `${entry.name} is not of age and named you as parent or guardian.`
              + ' If you agree, the piece is shown to whoever holds the call, and to nobody else.'
            : 'Is this yours? Then the piece is shown to whoever holds the call, and to nobody else.'
        }}
      </p>
      <v-btn color="primary" variant="flat" :loading="busy" @click="confirm">
        {{ entry.guardian ? 'I agree' : 'Yes, it is mine' }}
      </v-btn>
    </template>
    <p v-else role="status" class="words">{{ standing }}</p>
    <template v-for="s in entry.said" :key="s.on">
      <p class="quiet">Said in front of the others, on {{ dayWords(s.on) }}</p>
      <p class="words said">{{ s.said }}</p>
    </template>
    <v-btn v-if="entry.ready" color="primary" variant="flat" :loading="busy" @click="read">Read the critique</v-btn>
    <p v-if="problem" role="alert" class="problem">{{ problem }}</p>
    <p v-if="taking" class="words">
      Your piece, your address and all that was said of it are deleted at once. It cannot be undone.
      <span class="sure">
        <button type="button" class="word-link" @click="takeAway">delete it</button>
        <button type="button" class="word-link" @click="taking = false">keep it</button>
      </span>
    </p>
    <button v-else type="button" class="word-link" @click="taking = true">take it all away</button>
  </section>
</template>

<style scoped>
.entry {
  display: grid;
  gap: 14px;
  justify-items: start;
  max-width: 560px;
  padding-top: 60px;
}
.sure {
  display: flex;
  gap: 16px;
  margin-top: 8px;
}
.said {
  white-space: pre-line;
}
.problem {
  color: var(--accent);
}
</style>
