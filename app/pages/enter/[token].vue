<script setup lang="ts">
import { z } from 'zod'
import { enterSchema, linkSchema } from '~~/shared/link'

/** Coming in by an invitation, or again after a forgotten password: all there is to do is choose one. */
definePageMeta({ whose: 'anybody' })
useHead({ title: 'Come in · Critica' })
const session = useSessionStore(),
  token = String(useRoute().params.token)
const { data: link, problem: over } = useApiData(linkSchema, `/links/${token}`)
const form = reactive({ password: '' }),
  { wrong, check } = useCheckedForm(enterSchema, () => form),
  { problem, busy, act } = useAct()

async function enter() {
  const body = check()
  if (!body) return
  let isIn = false
  const went = await act(async () => {
    isIn = (await api(z.object({ in: z.boolean() }), `/links/${token}/enter`, { method: 'POST', body })).in
  })
  if (!went) return
  await session.load()
  await navigateTo(isIn ? '/' : '/sign-in')
}
</script>

<template>
  <DoorForm
    v-if="link"
    :title="link.kind === 'reset' ? `${link.name}, another password` : `Welcome, ${link.name}`"
    :lead="
      link.kind === 'reset'
        ? 'Everywhere else you are signed out when you choose it.'
        : link.classes.length
          ? `You are invited to ${link.classes.join(' and ')}. Choose a password, and you are in.`
          : 'Choose a password, and you are in.'
    "
    :act="link.kind === 'reset' ? 'Use it' : 'Come in'"
    :problem="problem"
    :busy="busy"
    @act="enter"
  >
    <!-- For the browser, which keeps a password with whom it opens. -->
    <input
      class="unseen"
      type="text"
      autocomplete="username"
      :value="link.login"
      readonly
      tabindex="-1"
      aria-hidden="true"
    />
    <SecretField v-model="form.password" label="A password" fresh :wrong="wrong.password" />
    <template #after>
      <p class="quiet">Later you sign in as {{ link.login }}.</p>
    </template>
  </DoorForm>
  <LinkOver v-else-if="over" :problem="over" mailed />
</template>

<style scoped>
.unseen {
  position: absolute;
  opacity: 0;
  pointer-events: none;
  width: 1px;
}
</style>
