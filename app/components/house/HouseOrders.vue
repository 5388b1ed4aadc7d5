<script setup lang="ts">
import { z } from 'zod'
import { houseOrdersSchema, type House } from '~~/shared/person'

/** The standing orders: how long records of learners who are gone are kept. */
const props = defineProps<{ house: House }>()
const emit = defineEmits<{ changed: [] }>()
const form = reactive({ retentionMonths: props.house.retentionMonths as number | string | null }),
  { wrong, check } = useCheckedForm(houseOrdersSchema, () => ({
    retentionMonths: form.retentionMonths === '' ? null : form.retentionMonths
  })),
  { problem, act } = useAct(),
  kept = ref(false)
async function keep() {
  const body = check()
  if (!body) return
  kept.value = await act(() => api(z.object({}), '/house', { method: 'PUT', body }))
  if (kept.value) emit('changed')
}
</script>

<template>
  <section aria-labelledby="orders-title" class="orders">
    <h2 id="orders-title">Standing orders</h2>
    <v-text-field
      v-model="form.retentionMonths"
      type="number"
      min="1"
      label="Months it is kept unused"
      :error-messages="wrong.retentionMonths"
      clearable
      @change="keep"
      @click:clear="keep"
    />
    <p class="quiet">
      Empty keeps them. Otherwise a learner who was not here for so long is erased by itself, with everything of theirs.
      They, and their instructors, are warned a month before; whoever signs in keeps it.
    </p>
    <p v-if="problem" role="alert">{{ problem }}</p>
    <p v-else-if="kept" role="status" class="quiet">Kept.</p>
  </section>
</template>

<style scoped>
.orders {
  display: grid;
  gap: 8px;
}
</style>
