<script setup lang="ts">
import { useHolding } from '~/sitting/useHolding'
import encodeQR from 'qr'
import { z } from 'zod'
import type { ListedCall } from '~~/shared/call'

/** One call as its holder sees it: its link, who came, and what is to be done about them. */
const props = defineProps<{ call: ListedCall }>()
const emit = defineEmits<{ changed: [] }>()
const { problem, busy, act } = useAct(),
  coded = ref(false),
  link = computed(() => pageLink(props.call.path)),
  code = computed(() => `data:image/svg+xml;base64,${btoa(encodeQR(link.value, 'svg', { border: 2 }))}`)
const { problem: unheld, busy: holding, hold } = useHolding(props.call.id),
  open = computed(() => props.call.sittings.some(t => !t.ended)),
  ended = computed(() => props.call.sittings.filter(t => t.ended))
const send = (path: string, method: 'POST' | 'PUT' | 'DELETE', body?: unknown) =>
  act(async () => {
    await api(z.object({}), `/calls/${props.call.id}${path}`, { method, body })
    emit('changed')
  })
const came = computed(() => props.call.entries.filter(e => e.state !== 'sent')),
  unconfirmed = computed(() => props.call.entries.filter(e => e.state === 'sent').length)
const STANDING = { 'not-yet': 'not open yet', open: 'open', full: 'full', closed: 'closed' } as const
const said = computed(() =>
  [
    STANDING[props.call.standing],
    came.value.length ? `${countWord(came.value.length)} in` : 'nothing came in yet',
    unconfirmed.value ? `${countWord(unconfirmed.value)} not confirmed` : ''
  ]
    .filter(Boolean)
    .join(' · ')
)
/** Asked once more before it goes. */
const taking = ref<number | null>(null)
const copied = ref(false)
async function copy() {
  await navigator.clipboard.writeText(link.value)
  copied.value = true
}
</script>

<template>
  <li class="call">
    <h2>{{ call.title }}</h2>
    <p class="quiet">{{ said }}</p>
    <p class="acts">
      <NuxtLink class="word-link" :to="call.path" target="_blank">its page</NuxtLink>
      <button type="button" class="word-link" @click="copy">
        {{ copied ? 'the link is copied' : 'copy the link' }}
      </button>
      <button type="button" class="word-link" @click="coded = !coded">
        {{ coded ? 'hide the code' : 'code to print' }}
      </button>
      <button
        v-if="call.standing !== 'closed'"
        type="button"
        class="word-link"
        :disabled="busy"
        @click="send('/close', 'POST')"
      >
        close it now
      </button>
      <button
        v-else-if="call.ordered === 'lot' && !call.drawn"
        type="button"
        class="word-link"
        :disabled="busy"
        @click="send('/draw', 'POST')"
      >
        draw the lots
      </button>
    </p>
    <p v-if="call.entries.some(e => e.submissionId) || call.sittings.length" class="acts">
      <NuxtLink class="word-link" :to="`/desk?call=${call.classId}`">on the desk</NuxtLink>
      <button
        v-if="open || call.returned !== 'critique'"
        type="button"
        class="word-link"
        :disabled="holding"
        @click="hold"
      >
        {{ open ? 'go on with the session' : 'hold a session' }}
      </button>
      <NuxtLink v-for="t in ended" :key="t.id" class="word-link" :to="`/session/${t.id}`"
        >record of {{ dayWords(t.begunAt) }}</NuxtLink
      >
    </p>
    <img v-if="coded" class="code" :src="code" :alt="`The link of “${call.title}” as a code`" />
    <p v-if="call.ordered === 'lot'" class="quiet small">Lots by the number {{ call.seed }}</p>
    <p v-if="problem || unheld" role="alert" class="problem">{{ problem || unheld }}</p>
    <ol v-if="came.length">
      <li v-for="entry in came" :key="entry.id" :class="{ passed: entry.state === 'passed' }">
        <NuxtLink v-if="entry.submissionId" :to="`/bench/${entry.submissionId}/first-look`">{{ entry.title }}</NuxtLink>
        <template v-else>{{ entry.title }}</template>
        <span class="quiet by">{{ entry.name }}{{ entry.state === 'passed' ? ' · not looked at' : '' }}</span>
        <button v-if="taking !== entry.id" type="button" class="word-link off" @click="taking = entry.id">
          take off
        </button>
        <span v-else class="choose">
          It is deleted, and its guest is told:
          <button type="button" class="word-link" @click="send(`/entries/${entry.id}`, 'DELETE')">delete it</button>
          <button type="button" class="word-link" @click="taking = null">keep it</button>
        </span>
        <span v-if="call.ordered === 'chosen' && entry.state === 'waiting'" class="choose">
          <button type="button" class="word-link" @click="send(`/entries/${entry.id}`, 'PUT', { take: true })">
            take
          </button>
          <button type="button" class="word-link" @click="send(`/entries/${entry.id}`, 'PUT', { take: false })">
            pass by
          </button>
        </span>
      </li>
    </ol>
  </li>
</template>

<style scoped>
.call {
  display: grid;
  gap: 8px;
  padding: 16px 0;
  border-bottom: 1px solid var(--line);
}
.acts,
.choose {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 16px;
}
.choose {
  display: inline-flex;
  margin-left: 12px;
}
.by {
  margin-left: 8px;
}
.off {
  margin-left: 12px;
  font-size: 13px;
}
.code {
  width: 180px;
}
ol {
  padding-left: 22px;
  line-height: 1.8;
}
.passed {
  opacity: 0.7;
}
.small {
  font-size: 13px;
}
.problem {
  color: var(--accent);
}
</style>
