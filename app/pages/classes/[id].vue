<script setup lang="ts">
import { z } from 'zod'
import { classDetailsSchema } from '~~/shared/class'
import { memberListSchema } from '~~/shared/roster'

/** One class: who is in it, how they come in, and what it goes by. */
definePageMeta({ whose: ['instructor'] })

const id = Number(useRoute().params.id)
const { data: details, problem: unread, refresh } = useApiData(classDetailsSchema, `/classes/${id}`)
const {
  data: people,
  problem: noPeople,
  refresh: refreshPeople
} = useApiData(memberListSchema, `/classes/${id}/people`)
useHead({ title: () => `${details.value?.name ?? 'Class'} · Critica` })

const { problem: unchanged, act } = useAct()
const learners = computed(() => people.value?.filter(p => p.role === 'learner').length ?? 0)
const waiting = computed(() => people.value?.filter(p => p.role === 'learner' && !p.entered).length ?? 0)
const line = computed(() => {
  if (!people.value) return '…'
  if (learners.value === 0) return 'Nobody is in it yet.'
  const all = `${capital(countWord(learners.value))} learner${learners.value === 1 ? '' : 's'}`
  return waiting.value === 0
    ? `${all}, all of them in.`
    : waiting.value === learners.value
      ? `${all}; nobody has come in yet.`
      : `${all}; ${countWord(waiting.value)} ${waiting.value === 1 ? 'has' : 'have'} not come in yet.`
})
const bringing = ref<boolean | null>(null)
/** An empty class is there to be filled. */
const open = computed(() => bringing.value ?? (people.value !== null && learners.value === 0))
async function brought() {
  bringing.value = false
  await refreshPeople()
}
async function archive(on: boolean) {
  if (await act(() => api(z.object({}), `/classes/${id}/archive`, { method: on ? 'PUT' : 'DELETE' }))) await refresh()
}
</script>

<template>
  <p v-if="unread && !details" role="alert" class="alone">{{ unread }}</p>
  <div v-else-if="details" class="with-side">
    <header>
      <NuxtLink to="/classes" class="quiet">Classes</NuxtLink>
      <h1>{{ details.name }}</h1>
      <p class="words">{{ line }}</p>
      <p v-if="details.archived" role="status">
        Archived: everything in it can be read, and nothing is changed.
        <button class="word-link" @click="archive(false)">bring it back</button>
      </p>
      <p v-if="unchanged || noPeople" role="alert">{{ unchanged || noPeople }}</p>
    </header>
    <section aria-labelledby="people-title">
      <h2 id="people-title">People</h2>
      <p class="word-row">
        <button v-if="!details.archived && !open" class="word-link" @click="bringing = true">bring people in</button>
        <NuxtLink :to="`/progress/class/${id}`" class="word-link">how the term goes</NuxtLink>
        <PeopleOut :class-id="id" :waiting="waiting" :learners="learners" :archived="details.archived" />
      </p>
      <LazyBringIn v-if="open && !details.archived" :class-id="id" @brought="brought" @done="bringing = false" />
      <LazyPeopleTable
        v-if="people?.length"
        :class-id="id"
        :people="people"
        :locked="details.archived"
        @changed="refreshPeople"
      />
    </section>
    <aside>
      <JoinCode v-if="!details.archived" :class-id="id" :code="details.joinCode" @changed="refresh" />
      <ClassForm :key="`${details.archived}`" :details="details" @changed="refresh" />
      <p v-if="details.erased.learners || details.erased.pieces" class="quiet">
        Erased from it: {{ details.erased.learners }} learner{{ details.erased.learners === 1 ? '' : 's' }},
        {{ details.erased.pieces }} piece{{ details.erased.pieces === 1 ? '' : 's' }}.
      </p>
      <p v-if="!details.archived" class="quiet">
        When the term is over, <button class="word-link" @click="archive(true)">archive the class</button>. It is kept,
        and can be brought back.
      </p>
    </aside>
  </div>
</template>

<style scoped>
.alone {
  padding-top: 24px;
}
</style>
