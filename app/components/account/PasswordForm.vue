<script setup lang="ts">
import { z } from 'zod'
import { passwordChangeSchema } from '~~/shared/account'

/** Another password, on the word of the one there is. What is guessed first is refused by the server, in its words. */
const emit = defineEmits<{ changed: [] }>()
const form = reactive({ current: '', next: '' }),
  { wrong, check } = useCheckedForm(passwordChangeSchema, () => form)
const problem = ref(''),
  done = ref(false),
  busy = ref(false),
  legible = ref(false)

async function change() {
  problem.value = ''
  done.value = false
  const body = check()
  if (!body) return
  busy.value = true
  try {
    await api(z.object({}), '/account/password', { method: 'PUT', body })
    Object.assign(form, { current: '', next: '' })
    done.value = true
    emit('changed')
  } catch (error) {
    problem.value = messageOf(error)
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <form novalidate @submit.prevent="change">
    <v-text-field
      v-model="form.current"
      label="The password you have now"
      :type="legible ? 'text' : 'password'"
      autocomplete="current-password"
      :error-messages="wrong.current"
    />
    <v-text-field
      v-model="form.next"
      label="The new one"
      :type="legible ? 'text' : 'password'"
      autocomplete="new-password"
      :error-messages="wrong.next"
    />
    <v-checkbox v-model="legible" label="show what is typed" />
    <p v-if="problem" role="alert">{{ problem }}</p>
    <p v-if="done" role="status">Changed. Everywhere else you are signed out.</p>
    <v-btn type="submit" color="primary" variant="flat" :loading="busy">Change it</v-btn>
  </form>
</template>

<style scoped>
form {
  display: grid;
  gap: 12px;
  justify-items: start;
}
form > .v-input {
  width: 100%;
}
</style>
