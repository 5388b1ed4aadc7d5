<script setup lang="ts">
import { z } from 'zod'
import { addressChangeSchema } from '~~/shared/account'

/** Another address, on the word of the password; it is used once the mail that goes there is opened. */
const form = reactive({ email: '', password: '' }),
  { wrong, check } = useCheckedForm(addressChangeSchema, () => form),
  { problem, busy, act } = useAct(),
  sent = ref('')
async function ask() {
  const body = check()
  if (!body) return
  if (await act(() => api(z.object({}), '/account/address', { method: 'PUT', body }))) {
    sent.value = body.email
    Object.assign(form, { email: '', password: '' })
  }
}
</script>

<template>
  <form class="field-stack" novalidate @submit.prevent="ask">
    <v-text-field
      v-model="form.email"
      label="Another e-mail address"
      type="email"
      autocomplete="email"
      :error-messages="wrong.email"
    />
    <SecretField v-model="form.password" label="Your password" :wrong="wrong.password" />
    <p v-if="problem" role="alert">{{ problem }}</p>
    <p v-if="sent" role="status">A mail is on its way to {{ sent }}: open the link in it, and the address is used.</p>
    <v-btn type="submit" :loading="busy">Use it</v-btn>
  </form>
</template>
