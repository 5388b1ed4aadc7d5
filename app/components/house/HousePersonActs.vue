<script setup lang="ts">
import { z } from 'zod'
import { loginOf } from '~~/shared/account'
import { handedLinkSchema } from '~~/shared/link'
import type { HousePerson } from '~~/shared/person'

/** What the owner can do for one person of the house. */
const props = defineProps<{ person: HousePerson; mailServer: boolean }>()
const emit = defineEmits<{ changed: [] }>()
const session = useSessionStore()
const { problem, act } = useAct(),
  { account } = props.person
const path = `/house/people/${account.id}`,
  link = ref<string | null>(null)

const ROLES = [
  { value: 'member', title: 'nothing beside their classes' },
  { value: 'instructor', title: 'instructor: makes classes' },
  { value: 'owner', title: 'owner: runs the house' }
]
async function setRole(house: string) {
  const went = await act(() => api(z.object({}), `${path}/role`, { method: 'PUT', body: { house } }))
  if (!went) return
  if (account.id === session.person.id) await session.load()
  emit('changed')
}
const signedOut = ref(false)
async function signOut() {
  signedOut.value = await act(() => api(z.object({}), `${path}/sessions`, { method: 'DELETE' }))
}
const hand = () =>
  act(async () => {
    link.value = pageLink((await api(handedLinkSchema, `${path}/link`, { method: 'POST' })).path)
  })
</script>

<template>
  <div class="acts-of">
    <p class="quiet narrow">
      {{ loginOf(account) }}{{ person.classes.length ? ` · ${person.classes.join(', ')}` : '' }}
    </p>
    <div v-if="!person.demo" class="word-row">
      <v-select
        :model-value="person.house"
        :items="ROLES"
        label="Is in the house"
        class="role"
        @update:model-value="setRole"
      />
      <button v-if="!mailServer || !account.email" class="word-link" @click="hand">
        {{ person.entered ? 'a link to a new password' : 'a link to come in' }}
      </button>
      <button v-if="person.entered && account.id !== session.person.id" class="word-link" @click="signOut">
        {{ signedOut ? 'signed out' : 'sign them out everywhere' }}
      </button>
    </div>
    <HandedLink v-if="link" :link="link" :name="account.name" />
    <p v-if="problem" role="alert">{{ problem }}</p>
    <PersonRecord :person-id="account.id" :name="account.name" owner @erased="emit('changed')" />
  </div>
</template>

<style scoped>
.acts-of {
  padding: 8px 0 14px;
  display: grid;
  gap: 10px;
}
.role {
  flex: 0 1 260px;
}
@media (min-width: 1101px) {
  .narrow {
    display: none;
  }
}
</style>
