<script setup lang="ts">
import { addDays, format } from 'date-fns'
import { CALL_ORDERS } from '~~/core/call/order'
import { callListSchema, callWrittenSchema, ORDER_WORDS, RETURNED, RETURNED_WORDS } from '~~/shared/call'
import { createdSchema } from '~~/shared/pieces/submission'

/** Open calls: people without an account hand in, by a link that is given out. */
definePageMeta({ whose: ['instructor'] })
useHead({ title: 'Open calls · Critica' })
const { data: calls, problem: unread, refresh } = useApiData(callListSchema, '/calls')
const iso = (days: number): string => format(addDays(new Date(), days), 'yyyy-MM-dd'),
  fresh = () => ({
    title: '',
    asked: '',
    opensOn: iso(0),
    closesOn: iso(14),
    perPerson: 1,
    most: 20,
    ordered: 'first' as (typeof CALL_ORDERS)[number],
    budgetMinutes: 10,
    returned: 'critique' as (typeof RETURNED)[number]
  }),
  form = reactive(fresh()),
  { wrong, check } = useCheckedForm(callWrittenSchema, () => form),
  { problem, busy, act } = useAct(),
  writing = ref(false)
async function open() {
  const body = check()
  if (!body) return
  await act(async () => {
    await api(createdSchema, '/calls', { method: 'POST', body })
    Object.assign(form, fresh())
    writing.value = false
    await refresh()
  })
}
const choices = <K extends string>(keys: readonly K[], words: Readonly<Record<K, string>>) =>
  keys.map(value => ({ value, title: words[value] }))
const asks = computed(() => writing.value || calls.value?.length === 0)
</script>

<template>
  <div class="calls">
    <h1>{{ !calls ? '…' : calls.length ? 'Open calls' : 'Your first open call' }}</h1>
    <p v-if="unread" role="alert">{{ unread }}</p>
    <p v-if="calls && asks" class="quiet">
      People without an account hand in by a link that you give out. Nothing of what they hand in is shown anywhere.
    </p>
    <ul v-if="calls?.length">
      <CallCard v-for="call in calls" :key="call.id" :call="call" @changed="refresh" />
    </ul>
    <button v-if="calls && !asks" type="button" class="word-link" @click="writing = true">open another</button>
    <form v-if="calls && asks" class="field-stack" novalidate @submit.prevent="open">
      <v-text-field v-model="form.title" label="Title" maxlength="120" :error-messages="wrong.title" />
      <v-textarea
        v-model="form.asked"
        label="What is asked, in plain words"
        maxlength="2000"
        rows="3"
        :error-messages="wrong.asked"
      />
      <div class="row">
        <v-text-field v-model="form.opensOn" type="date" label="From" :error-messages="wrong.opensOn" />
        <v-text-field
          v-model="form.closesOn"
          type="date"
          label="Until, that day too"
          :error-messages="wrong.closesOn"
        />
      </div>
      <div class="row">
        <v-text-field
          v-model="form.perPerson"
          type="number"
          label="Pieces a person"
          :error-messages="wrong.perPerson"
        />
        <v-text-field v-model="form.most" type="number" label="Pieces in all" :error-messages="wrong.most" />
        <v-text-field
          v-model="form.budgetMinutes"
          type="number"
          label="Minutes a piece"
          :error-messages="wrong.budgetMinutes"
        />
      </div>
      <v-select v-model="form.ordered" :items="choices(CALL_ORDERS, ORDER_WORDS)" label="In which order" />
      <v-select v-model="form.returned" :items="choices(RETURNED, RETURNED_WORDS)" label="What comes back" />
      <p v-if="problem" role="alert" class="problem">{{ problem }}</p>
      <v-btn type="submit" color="primary" variant="flat" :loading="busy">Open it</v-btn>
    </form>
  </div>
</template>

<style scoped>
.calls {
  max-width: 680px;
  padding-top: 20px;
  display: grid;
  gap: 18px;
  justify-items: start;
}
.calls > ul,
.calls > form {
  width: 100%;
}
ul {
  list-style: none;
  padding: 0;
}
.row {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 14px;
}
.problem {
  color: var(--accent);
}
</style>
