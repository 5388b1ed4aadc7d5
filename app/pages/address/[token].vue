<script setup lang="ts">
import { z } from 'zod'

/** A new address, confirmed by opening the link that was mailed there. */
definePageMeta({ whose: 'anybody' })
useHead({ title: 'Your address · Critica' })
const session = useSessionStore(),
  token = String(useRoute().params.token)
const { problem, busy, act } = useAct(),
  done = ref(false)
async function confirm() {
  done.value = await act(() => api(z.object({}), `/links/${token}/address`, { method: 'POST' }))
  await session.load()
}
</script>

<template>
  <DoorForm
    v-if="!done"
    title="Is this your address?"
    lead="From now on mail goes there, and you sign in with it."
    act="Yes, use it"
    :problem="problem"
    :busy="busy"
    @act="confirm"
  />
  <section v-else class="done">
    <h1>It is used from now on.</h1>
    <v-btn color="primary" variant="flat" to="/">Go on</v-btn>
  </section>
</template>

<style scoped>
.done {
  max-width: 420px;
  margin: 12vh auto 0;
  display: grid;
  gap: 16px;
  justify-items: start;
}
</style>
