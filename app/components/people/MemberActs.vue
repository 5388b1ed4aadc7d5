<script setup lang="ts">
import { z } from 'zod'
import { loginOf } from '~~/shared/account'
import { handedLinkSchema } from '~~/shared/link'
import type { ListedMember } from '~~/shared/roster'

/** What can be done for one person of a class. */
const props = defineProps<{ classId: number; member: ListedMember; locked: boolean }>()
const emit = defineEmits<{ changed: [] }>()
const { problem, act } = useAct()
const { account } = props.member
const path = `/classes/${props.classId}/people/${account.id}`
const link = ref<string | null>(null),
  mailed = ref(false)

const ROLES = [
  { value: 'learner', title: 'learner' },
  { value: 'assistant', title: 'assistant: marks and drafts' },
  { value: 'instructor', title: 'instructor' }
]
async function change(send: () => Promise<unknown>) {
  if (await act(send)) emit('changed')
}
const nothing = z.object({})
const setRole = (role: string) => change(() => api(nothing, `${path}/role`, { method: 'PUT', body: { role } }))
const takeOut = () => change(() => api(nothing, path, { method: 'DELETE' }))
const hand = () =>
  act(async () => {
    link.value = pageLink((await api(handedLinkSchema, `${path}/link`, { method: 'POST' })).path)
  })
async function mail() {
  mailed.value = await act(() => api(nothing, `${path}/mail`, { method: 'POST' }))
}
</script>

<template>
  <div class="member">
    <!-- On a broad page the row says it. -->
    <p class="quiet narrow">{{ loginOf(account) }} · {{ member.role }}</p>
    <div v-if="!locked" class="word-row">
      <v-select
        :model-value="member.role"
        :items="ROLES"
        label="Is in this class"
        class="role"
        @update:model-value="setRole"
      />
      <button v-if="member.handed" class="word-link" @click="hand">
        {{ member.entered ? 'a link to a new password' : 'a link to hand on' }}
      </button>
      <button v-if="!member.entered && account.email" class="word-link" @click="mail">
        {{ mailed ? 'mailed again' : 'mail the link again' }}
      </button>
      <button class="word-link" @click="takeOut">take out of the class</button>
    </div>
    <HandedLink v-if="link" :link="link" :name="account.name" />
    <p v-if="problem" role="alert">{{ problem }}</p>
    <PersonRecord v-if="account.roles.every(r => r === 'learner')" :person-id="account.id" :name="account.name" />
  </div>
</template>

<style scoped>
.member {
  padding: 8px 0 14px;
  display: grid;
  gap: 10px;
}
.role {
  min-width: 200px;
  flex: 0 1 240px;
}
@media (min-width: 701px) {
  .narrow {
    display: none;
  }
}
</style>
