<script setup lang="ts">
import { DEFAULT_STANDARDS } from '~~/core/critique/standards'
import { classFieldsSchema, classListSchema, type ClassListed } from '~~/shared/class'
import { createdSchema } from '~~/shared/pieces/submission'

definePageMeta({ whose: ['instructor'] })
useHead({ title: 'Classes · Critica' })

const { data: classes, problem: unread } = useApiData(classListSchema, '/classes')
/** A name is all that is asked: the rest has its usual value, and stands on the class's page. */
const form = reactive({ name: '', budgetMinutes: 25, wheel: DEFAULT_STANDARDS.wheel, startsOn: null, endsOn: null }),
  { wrong, check } = useCheckedForm(classFieldsSchema, () => form),
  { problem, busy, act } = useAct()
async function make() {
  const body = check()
  if (!body) return
  await act(async () => {
    const { id } = await api(createdSchema, '/classes', { method: 'POST', body })
    // Whoever makes their first class teaches from now on.
    await useSessionStore().load()
    await navigateTo(`/classes/${id}`)
  })
}
const saidOf = ({ role, archived, learners }: ClassListed): string =>
  [
    archived ? 'archived' : '',
    `${countWord(learners)} learner${learners === 1 ? '' : 's'}`,
    role === null ? 'you are not in it' : role === 'instructor' ? '' : `you are its ${role}`
  ]
    .filter(Boolean)
    .join(' · ')
const led = computed(() => classes.value ?? [])
const mayOpen = (c: ClassListed): boolean => c.role === 'instructor' || useSessionStore().person.roles.includes('owner')
</script>

<template>
  <div class="classes">
    <h1>{{ !classes ? '…' : led.length ? 'Classes' : 'Your first class' }}</h1>
    <p v-if="unread" role="alert">{{ unread }}</p>
    <ul v-if="led.length">
      <li v-for="c in led" :key="c.id" :class="{ archived: c.archived }">
        <h2>
          <NuxtLink v-if="mayOpen(c)" :to="`/classes/${c.id}`">{{ c.name }}</NuxtLink>
          <template v-else>{{ c.name }}</template>
        </h2>
        <p class="quiet">
          {{ saidOf(c) }}
          <template v-if="c.role === 'instructor' || c.role === 'assistant'">
            · <NuxtLink :to="`/progress/class/${c.id}`">how the term goes</NuxtLink></template
          >
        </p>
      </li>
    </ul>
    <form novalidate @submit.prevent="make">
      <v-text-field
        v-model="form.name"
        :label="led.length ? 'Another class' : 'What is it called?'"
        maxlength="120"
        :error-messages="wrong.name"
      />
      <v-btn type="submit" color="primary" variant="flat" :loading="busy">Make it</v-btn>
      <p v-if="problem" role="alert">{{ problem }}</p>
    </form>
  </div>
</template>

<style scoped>
.classes {
  max-width: 640px;
  padding-top: 20px;
  display: grid;
  gap: 22px;
}
ul {
  list-style: none;
  padding: 0;
}
li {
  padding: 12px 0;
  border-bottom: 1px solid var(--line);
}
.archived h2 {
  color: var(--quiet);
}
form {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 12px;
  align-items: start;
}
form > p {
  grid-column: 1 / -1;
}
</style>
