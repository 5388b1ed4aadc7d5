<script setup lang="ts">
import { z } from 'zod'
import { checksOf, exerciseSet } from '~~/core/exercise'
import { exerciseSetSchema, type Assignment } from '~~/shared/exercises/assignment'

/** A class's hand-ins of one exercise as a wall: in the order of one check, each against its band. */
definePageMeta({ whose: ['instructor', 'assistant'] })

const id = Number(useRoute().params.id)
const session = useSessionStore()
const { data: set, problem: unread, refresh } = useApiData(exerciseSetSchema, `/exercise-sets/${id}`)
useHead({ title: () => `${set.value ? titleOf.value : 'Exercise'} · Critica` })

const titleOf = computed(() => {
  const first = set.value?.assignments[0]
  return first ? exerciseSet(first).title : ''
})
const all = computed(() => set.value?.assignments.filter(a => !a.withdrawnAt) ?? [])
const handedIn = computed(() => all.value.filter(a => a.handIn))
/** Null until it is chosen: then by what shows most, the second check where there is one. */
const chosen = ref<string | null>(null)
const orders = computed(() => {
  const first = all.value[0]
  const checks = first ? checksOf(first, first.settings, false) : []
  return [...checks.map(c => ({ key: c.id, label: c.name })), { key: 'date', label: 'date' }]
})
const order = computed({
  get: () => chosen.value ?? orders.value[Math.max(0, Math.min(1, orders.value.length - 2))]!.key,
  set: key => (chosen.value = key)
})
const resultOf = (a: Assignment, check: string | null) => a.handIn?.checks?.find(c => c.id === check) ?? null
const hung = computed(() =>
  [...handedIn.value].sort((p, q) =>
    order.value === 'date'
      ? p.handIn!.handedInAt.localeCompare(q.handIn!.handedInAt)
      : (resultOf(p, order.value)?.value ?? 0) - (resultOf(q, order.value)?.value ?? 0)
  )
)
const waiting = computed(() => handedIn.value.filter(a => reached(a) && !a.confirmedAt && !a.returnedAt).length)
const missing = computed(() => {
  const groups = new Map<string, string[]>()
  for (const a of all.value)
    if (!a.handIn) groups.set(exerciseState(a), [...(groups.get(exerciseState(a)) ?? []), a.learner.name])
  return [...groups].map(([state, names]) => ({ state, names }))
})
const line = computed(() => {
  const due = all.value
    .map(a => a.dueOn)
    .sort()
    .at(-1)
  return [
    `${ofAll(handedIn.value.length, all.value.length)} handed in`,
    due && `due ${dueWords(due)}`,
    set.value?.eachHue && 'each with a key colour of their own'
  ]
    .filter(Boolean)
    .join(' · ')
})
const saysOf = (a: Assignment): string => {
  if (a.confirmedAt) return 'confirmed'
  if (a.returnedAt) return 'to be done again'
  if (!a.handIn!.checks) return 'being measured'
  if (reached(a)) return 'all reached'
  const said = resultOf(a, order.value)
  return said && !said.passed ? said.found : exerciseState(a)
}
const mayConfirm = computed(() => session.person.roles.includes('instructor'))
const { problem, busy, act } = useAct()
async function confirm() {
  if (await act(() => api(z.object({ confirmed: z.int() }), `/exercise-sets/${id}/confirm`, { method: 'POST' })))
    await refresh()
}
</script>

<template>
  <p v-if="unread && !set" role="alert" class="alone">{{ unread }}</p>
  <div v-else-if="set" class="set">
    <header>
      <h1>{{ titleOf }}, {{ set.className }}</h1>
      <p class="quiet">{{ line }}</p>
    </header>
    <div class="tools">
      <WordChoice v-if="handedIn.length > 1" v-model="order" label="In order of" :choices="orders" />
      <p class="word-row">
        <a class="word-link" :href="apiAt(`/exercise-sets/${id}/worksheets`)" target="_blank">everybody’s worksheets</a>
        <a class="word-link" :href="apiAt(`/exercise-sets/${id}/worksheets?paper=letter`)" target="_blank">on Letter</a>
        <button v-if="waiting && mayConfirm" class="word-link strong" :disabled="busy" @click="confirm">
          confirm the {{ countWord(waiting) }} that reach{{ waiting === 1 ? 'es' : '' }} everything
        </button>
      </p>
    </div>
    <p v-if="problem" role="alert">{{ problem }}</p>
    <ul class="wall">
      <li v-for="a in hung" :key="a.id">
        <NuxtLink :to="`/exercises/${a.id}`">
          <img
            :src="apiAt(`/submissions/${a.handIn!.submissionId}/picture/thumb`)"
            :alt="`${a.learner.name}’s hand-in`"
          />
        </NuxtLink>
        <p class="says">
          <b>{{ a.learner.name }}</b> {{ saysOf(a) }}
        </p>
        <CheckScale v-if="resultOf(a, order)" :result="resultOf(a, order)!" />
      </li>
      <li v-for="group in missing" :key="group.state" class="missing" :title="group.names.join(', ')">
        <p>
          {{ countWord(group.names.length) }}: {{ group.state }}<br /><span class="quiet">{{
            group.names.join(', ')
          }}</span>
        </p>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.set {
  display: grid;
  gap: 14px;
  padding-top: 20px;
}
.tools {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 30px;
  justify-content: space-between;
  align-items: baseline;
}
.strong {
  font-weight: 600;
}
.wall {
  list-style: none;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(184px, 1fr));
  gap: 22px 18px;
  align-items: start;
}
img {
  width: 100%;
  aspect-ratio: 3 / 2;
  object-fit: contain;
  background: var(--wall);
}
.says {
  font-size: 13px;
  padding-top: 6px;
}
.missing {
  border: 1px dashed var(--l60);
  aspect-ratio: 3 / 2;
  display: grid;
  place-items: center;
  text-align: center;
  padding: 10px;
  overflow: hidden;
}
.alone {
  padding-top: 24px;
}
</style>
