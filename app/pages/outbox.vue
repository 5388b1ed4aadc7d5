<script setup lang="ts">
import { mailListSchema } from '~~/shared/mail'

definePageMeta({ whose: 'everybody' })

/** The simulated post office: what would have been sent, newest first. An aid for demo and development. */
useHead({ title: 'What was sent · Critica' })
const session = useSessionStore()
const { data: mail, problem } = useApiData(mailListSchema, '/outbox')
</script>

<template>
  <div class="outbox">
    <h1>{{ session.account?.roles.includes('instructor') ? 'What was sent' : 'What was sent to you' }}</h1>
    <p v-if="session.account?.roles.includes('instructor')">
      <NuxtLink class="word-link" to="/inbox">what came in</NuxtLink>
    </p>
    <p class="quiet">What is sent to people is kept here; it leaves this machine only when a mail server is set.</p>
    <p v-if="problem" role="alert">{{ problem }}</p>
    <p v-else-if="mail?.length === 0" class="quiet">Nothing was sent yet.</p>
    <article v-for="m in mail" :key="m.id">
      <h3>{{ m.subject }}</h3>
      <p class="quiet">
        to {{ m.to.name }}{{ m.to.email ? ` <${m.to.email}>` : ', who has no address' }} · {{ dayWords(m.sentAt)
        }}{{ m.deliveredAt ? ' · taken by the mail server' : '' }}
      </p>
      <p v-if="m.failure" role="status">
        {{
          m.givenUp
            ? `Given up after a day, the mail server never took it: ${m.failure}. Tell ${m.to.name} another way.`
            : `Not taken by the mail server yet: ${m.failure}. It is tried again.`
        }}
      </p>
      <p v-if="m.link"><NuxtLink :to="m.link">The link in it</NuxtLink></p>
      <p v-for="line in m.body.split('\n').filter(Boolean)" :key="line" class="words">{{ line }}</p>
    </article>
  </div>
</template>

<style scoped>
.outbox {
  max-width: 720px;
  padding-top: 20px;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 14px;
}
article {
  border-top: 1px solid var(--line);
  padding-top: 10px;
}
</style>
