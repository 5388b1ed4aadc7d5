<script setup lang="ts">
import { z } from 'zod'
import { recoveryCodesSchema, stepBegunSchema, type StepBegun } from '~~/shared/account'

/** A second step at the sign-in: codes from a device of one's own. */
const session = useSessionStore()
const { problem, busy, act } = useAct(),
  begun = shallowRef<StepBegun | null>(null),
  code = ref(''),
  ending = ref(false),
  codes = shallowRef<readonly string[]>([])
const password = ref(''),
  asking = ref(false)
async function begin() {
  const body = { password: password.value }
  const went = await act(async () => {
    begun.value = await api(stepBegunSchema, '/account/second-step', { method: 'POST', body })
  })
  if (!went) return
  password.value = ''
  asking.value = false
}
async function confirm() {
  const went = await act(async () => {
    codes.value = await api(recoveryCodesSchema, '/account/second-step', { method: 'PUT', body: { code: code.value } })
  })
  if (!went) return
  begun.value = null
  code.value = ''
  await session.load()
}
async function end() {
  const went = await act(() =>
    api(z.object({}), '/account/second-step', { method: 'DELETE', body: { code: code.value } })
  )
  if (!went) return
  ending.value = false
  code.value = ''
  await session.load()
}
</script>

<template>
  <div class="field-stack">
    <template v-if="codes.length">
      <p role="status">
        It is on. For the day your device is lost, keep these; each opens once, and they are not shown again.
      </p>
      <ul class="codes">
        <li v-for="c in codes" :key="c">{{ c }}</li>
      </ul>
      <button class="word-link" @click="codes = []">they are kept</button>
    </template>
    <form v-else-if="begun" class="field-stack" novalidate @submit.prevent="confirm">
      <p>Read this into an authenticator on your phone, then type the code that it shows.</p>
      <img :src="begun.picture" alt="The secret as a square to be photographed" width="168" height="168" />
      <p class="quiet">
        Or type it there: <code>{{ begun.secret }}</code>
      </p>
      <v-text-field v-model="code" label="Code" autocomplete="one-time-code" inputmode="numeric" maxlength="10" />
      <v-btn type="submit" color="primary" variant="flat" :loading="busy">Turn it on</v-btn>
    </form>
    <template v-else-if="session.person.secondStep">
      <p>It is on: whoever signs in as you needs your device too.</p>
      <form v-if="ending" class="field-stack" novalidate @submit.prevent="end">
        <v-text-field
          v-model="code"
          label="A code, to turn it off"
          autocomplete="one-time-code"
          maxlength="20"
          autofocus
        />
        <v-btn type="submit" :loading="busy">Turn it off</v-btn>
      </form>
      <button v-else class="word-link" @click="ending = true">turn it off</button>
    </template>
    <template v-else>
      <p class="quiet">With it a password alone opens nothing: a code from your phone is asked for too.</p>
      <form v-if="asking" class="field-stack" novalidate @submit.prevent="begin">
        <SecretField v-model="password" label="Your password" />
        <v-btn type="submit" :loading="busy">Go on</v-btn>
      </form>
      <button v-else class="word-link" @click="asking = true">turn it on</button>
    </template>
    <p v-if="problem" role="alert">{{ problem }}</p>
  </div>
</template>

<style scoped>
img {
  background: var(--l100);
  padding: 8px;
}
code {
  overflow-wrap: anywhere;
  font-family: var(--sans);
}
.codes {
  columns: 2;
  gap: 30px;
  list-style: none;
  padding: 0;
  font-size: 15px;
}
</style>
