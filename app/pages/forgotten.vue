<script setup lang="ts">
import { z } from 'zod'
import { forgottenSchema } from '~~/shared/link'

definePageMeta({ whose: 'anybody' })
useHead({ title: 'Another password · Critica' })
const form = reactive({ login: '' }),
  { wrong, check } = useCheckedForm(forgottenSchema, () => form),
  { problem, busy, act } = useAct(),
  sent = ref(false)

async function ask() {
  const body = check()
  if (body) sent.value = await act(() => api(z.object({}), '/forgotten', { method: 'POST', body }))
}
</script>

<template>
  <DoorForm
    title="Another password"
    lead="A link is mailed to your address; it is good for an hour."
    act="Mail it"
    :problem="problem"
    :busy="busy"
    @act="ask"
  >
    <v-text-field
      v-model="form.login"
      label="Your e-mail address"
      autocomplete="username"
      :error-messages="wrong.login"
      @update:model-value="sent = false"
    />
    <p v-if="sent" role="status" class="words">If it has an account here, the mail is on its way.</p>
    <template #after>
      <p class="quiet">
        Without an address, or where no mail arrives: your instructor, or whoever runs the house, hands you a link.
      </p>
      <p><NuxtLink to="/sign-in">Back to the door</NuxtLink></p>
    </template>
  </DoorForm>
</template>
