<script setup lang="ts">
import { z } from 'zod'
import { accountSchema, loginOf } from '~~/shared/account'
import { joiningSchema, joinSchema } from '~~/shared/link'

/** Joining by a code: somebody new says who they are, somebody who is in says yes. */
definePageMeta({ whose: 'anybody' })
useHead({ title: 'Join a class · Critica' })
const session = useSessionStore(),
  code = encodeURIComponent(String(useRoute().params.code))
const { data: joining, problem: none } = useApiData(joiningSchema, `/join/${code}`)
const form = reactive({ name: '', email: '', password: '' }),
  { wrong, check } = useCheckedForm(joinSchema, () => form),
  { problem, busy, act } = useAct(),
  /** Given to one without an address, who has to keep it. */
  signInName = ref('')

async function join() {
  if (session.account) {
    if (!(await act(() => api(z.object({}), `/join/${code}/too`, { method: 'POST' })))) return
  } else {
    if (!check()) return
    const went = await act(async () => {
      const account = await api(accountSchema, `/join/${code}`, { method: 'POST', body: form })
      if (!account.email) signInName.value = loginOf(account)
    })
    if (!went) return
  }
  await session.load()
  if (!signInName.value) await navigateTo('/work')
}
</script>

<template>
  <section v-if="signInName" class="kept">
    <h1>You are in {{ joining?.className }}.</h1>
    <p class="words">
      Later you sign in as <b>{{ signInName }}</b>, with the password you chose. Write it down.
    </p>
    <v-btn color="primary" variant="flat" to="/work">To my work</v-btn>
  </section>
  <DoorForm
    v-else-if="joining"
    :title="joining.className"
    :lead="`With ${joining.instructors}.`"
    :act="session.account ? `Join as ${session.account.name}` : 'Join'"
    :problem="problem"
    :busy="busy"
    @act="join"
  >
    <NewPerson v-if="!session.account" v-model="form" email-label="E-mail address, if you have one" :wrong="wrong" />
    <template v-if="!session.account" #after>
      <p class="quiet">
        You have an account here? <NuxtLink :to="`/sign-in?to=/join/${code}`">Sign in</NuxtLink>, and join with it.
      </p>
    </template>
  </DoorForm>
  <section v-else-if="none" class="kept">
    <h1 role="alert">{{ none }}</h1>
    <p><NuxtLink to="/join">Type it again</NuxtLink></p>
  </section>
</template>

<style scoped>
.kept {
  max-width: 420px;
  margin: 12vh auto 0;
  display: grid;
  gap: 16px;
  justify-items: start;
}
</style>
