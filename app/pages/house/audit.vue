<script setup lang="ts">
import { format } from 'date-fns'
import { AUDIT_WORDS, auditPageSchema, type AuditEntry } from '~~/shared/audit'

/** What was done in the house, the latest first. */
definePageMeta({ whose: ['owner'] })
useHead({ title: 'What was done · Critica' })
const entries = shallowRef<readonly AuditEntry[]>([]),
  next = ref<number | null>(null),
  ready = ref(false),
  { problem, busy, act } = useAct()
const more = (after: number | null) =>
  act(async () => {
    const page = await api(auditPageSchema, `/house/audit${after === null ? '' : `?after=${after}`}`)
    entries.value = [...entries.value, ...page.items]
    next.value = page.next
    ready.value = true
  })
void more(null)
const whom = ({ account, className, submissionId, detail }: AuditEntry): string =>
  [account, className, submissionId === null ? '' : `piece ${submissionId}`, detail].filter(Boolean).join(' · ')
</script>

<template>
  <div class="audit">
    <NuxtLink to="/house" class="quiet">The house</NuxtLink>
    <h1>What was done</h1>
    <p class="quiet">
      Who, when, what: no picture, and no words of a critique.
      <a class="word-link" :href="apiAt('/house/audit/table')" download>all of it as CSV</a>
    </p>
    <p v-if="problem" role="alert">{{ problem }}</p>
    <p v-if="ready && entries.length === 0" class="quiet">Nothing yet.</p>
    <ol>
      <li v-for="e in entries" :key="e.id">
        <time :datetime="e.at">{{ format(new Date(e.at), 'd MMM, HH:mm') }}</time>
        <span>
          {{ e.actor }} {{ AUDIT_WORDS[e.action] }}
          <span class="quiet">{{ whom(e) }}</span>
        </span>
      </li>
    </ol>
    <button v-if="next !== null" class="word-link" :disabled="busy" @click="more(next)">earlier</button>
  </div>
</template>

<style scoped>
.audit {
  max-width: 760px;
  padding-top: 20px;
  display: grid;
  gap: 12px;
  justify-items: start;
}
ol {
  list-style: none;
  padding: 0;
  width: 100%;
}
li {
  display: grid;
  grid-template-columns: 110px 1fr;
  gap: 12px;
  padding: 5px 0;
  border-bottom: 1px solid var(--line);
}
time {
  color: var(--quiet);
}
</style>
