<script setup lang="ts">
import { createdSchema } from '~~/shared/pieces/submission'
import { housePersonWrittenSchema } from '~~/shared/person'

/** Somebody who will teach here, or run the house too. */
const emit = defineEmits<{ invited: []; done: [] }>()
const form = reactive({ name: '', email: '', house: 'instructor' as const }),
  { wrong, check } = useCheckedForm(housePersonWrittenSchema, () => form),
  { problem, busy, act } = useAct()
async function invite() {
  const body = check()
  if (body && (await act(() => api(createdSchema, '/house/people', { method: 'POST', body })))) emit('invited')
}
</script>

<template>
  <form class="invite wide" novalidate @submit.prevent="invite">
    <v-text-field v-model="form.name" label="Name" maxlength="120" autofocus :error-messages="wrong.name" />
    <v-text-field v-model="form.email" label="E-mail address" type="email" :error-messages="wrong.email" />
    <p class="acts">
      <v-btn type="submit" color="primary" variant="flat" :loading="busy">Invite</v-btn>
      <button type="button" class="word-link" @click="emit('done')">not now</button>
    </p>
    <p v-if="problem" role="alert">{{ problem }}</p>
  </form>
</template>

<style scoped>
.invite {
  display: grid;
  grid-template-columns: 1fr 1fr auto;
  gap: 12px;
  align-items: start;
}
.invite > [role='alert'] {
  grid-column: 1 / -1;
}
.acts {
  display: flex;
  gap: 14px;
  align-items: baseline;
}
@media (max-width: 700px) {
  .invite {
    grid-template-columns: 1fr;
  }
}
</style>
