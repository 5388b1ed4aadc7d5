<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { z } from 'zod'
import { housePeopleSchema, houseSchema } from '~~/shared/person'

/** Running the house: its people, its standing orders, the demo class, and what was done. */
definePageMeta({ whose: ['owner'] })
useHead({ title: 'House · Critica' })

const { data: house, problem: unread, refresh } = useApiData(houseSchema, '/house')
const { data: people, problem: noPeople, refresh: refreshPeople } = useApiData(housePeopleSchema, '/house/people')
const { problem, act } = useAct()
async function demo(method: 'POST' | 'DELETE') {
  await act(() => api(z.object({}), '/house/demo', { method }))
  await Promise.all([refresh(), refreshPeople()])
}
// Painting the demo's pictures takes about a minute.
useIntervalFn(async () => {
  if (house.value?.demo !== 'loading') return
  await refresh()
  if (house.value?.demo !== 'loading') await refreshPeople()
}, 2000)
const inviting = ref(false)
async function invited() {
  inviting.value = false
  await refreshPeople()
}
</script>

<template>
  <div class="with-side">
    <header>
      <h1>The house</h1>
      <p v-if="unread || noPeople || problem" role="alert">{{ unread || noPeople || problem }}</p>
      <p v-if="house && !house.mailServer" class="quiet">
        No mail server is set, so mail stays in the outbox: hand links on yourself.
      </p>
    </header>
    <section aria-labelledby="people-title">
      <h2 id="people-title">Everybody</h2>
      <button v-if="!inviting" class="word-link" @click="inviting = true">invite an instructor</button>
      <InviteForm v-else @invited="invited" @done="inviting = false" />
      <LazyHousePeople
        v-if="people && house"
        :people="people"
        :mail-server="house.mailServer"
        @changed="refreshPeople"
      />
      <p class="quiet">Learners come in through their class. <NuxtLink to="/classes">To the classes</NuxtLink></p>
    </section>
    <aside>
      <HouseOrders v-if="house" :house="house" @changed="refresh" />
      <section aria-labelledby="demo-title">
        <h2 id="demo-title">Demo class</h2>
        <template v-if="house?.demo === 'loaded'">
          <p class="quiet">
            It is here, with its published password: whoever reaches this house can look round in it, and in nothing
            else.
          </p>
          <button class="word-link" @click="demo('DELETE')">take it away, whole</button>
        </template>
        <p v-else-if="house?.demo === 'loading'" role="status">Its pictures are being painted: about a minute.</p>
        <template v-else-if="house?.demo === 'none'">
          <p class="quiet">An invented evening class, to show somebody round. Its password is shown at the door.</p>
          <button class="word-link" @click="demo('POST')">load it</button>
        </template>
        <p v-else class="quiet">It is not loaded in this house.</p>
      </section>
      <p><NuxtLink to="/house/audit">What was done, by whom, when</NuxtLink></p>
    </aside>
  </div>
</template>
