<script setup lang="ts">
import { accountSchema } from '~~/shared/account'
import { beginSchema, linkSchema } from '~~/shared/link'

/** The first account of a house, by the link that its start prints. */
definePageMeta({ whose: 'anybody' })
useHead({ title: 'Begin · Critica' })
const session = useSessionStore(),
  token = String(useRoute().params.token)
const { data: link, problem: over } = useApiData(linkSchema, `/links/${token}`)
const form = reactive({ name: '', email: '', password: '' }),
  { wrong, check } = useCheckedForm(beginSchema, () => form),
  { problem, busy, act } = useAct()

async function begin() {
  const body = check()
  if (!body) return
  if (!(await act(() => api(accountSchema, `/links/${token}/begin`, { method: 'POST', body })))) return
  await session.load()
  await navigateTo('/classes')
}
</script>

<template>
  <DoorForm
    v-if="link"
    title="Your own house"
    lead="You run it: its classes, its people, and what becomes of their work. Your learners are invited next."
    act="Begin"
    :problem="problem"
    :busy="busy"
    @act="begin"
  >
    <NewPerson v-model="form" email-label="Your e-mail address" :wrong="wrong" />
    <template #after>
      <p class="quiet">The demo class goes when you begin. You can load it again from your page.</p>
    </template>
  </DoorForm>
  <LinkOver v-else-if="over" :problem="over" />
</template>
