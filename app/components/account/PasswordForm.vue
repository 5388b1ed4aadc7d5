<script setup lang="ts">
import { z } from 'zod'
import { passwordChangeSchema } from '~~/shared/account'

/** Another password, on the word of the one there is. What is guessed first is refused by the server, in its words. */
const emit = defineEmits<{ changed: [] }>()
const form = reactive({ current: '', next: '' }),
  { wrong, check } = useCheckedForm(passwordChangeSchema, () => form)
const { problem, busy, act } = useAct(),
  done = ref(false)

async function change() {
  done.value = false
  const body = check()
  if (!body) return
  done.value = await act(() => api(z.object({}), '/account/password', { method: 'PUT', body }))
  if (!done.value) return
  Object.assign(form, { current: '', next: '' })
  emit('changed')
}
</script>

<template>
  <form class="field-stack" novalidate @submit.prevent="change">
    <SecretField v-model="form.current" label="The password you have now" :wrong="wrong.current" />
    <SecretField v-model="form.next" label="The new one" fresh :wrong="wrong.next" />
    <p v-if="problem" role="alert">{{ problem }}</p>
    <p v-if="done" role="status">Changed. Everywhere else you are signed out.</p>
    <v-btn type="submit" color="primary" variant="flat" :loading="busy">Change it</v-btn>
  </form>
</template>
