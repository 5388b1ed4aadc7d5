<script setup lang="ts">
import { z } from 'zod'
import { classFieldsSchema, type ClassDetails } from '~~/shared/class'

/** What a class goes by: each is kept as it is changed. */
const props = defineProps<{ details: ClassDetails }>()
const emit = defineEmits<{ changed: [] }>()
const { name, budgetMinutes, wheel, startsOn, endsOn } = props.details
const form = reactive({ name, budgetMinutes, wheel, startsOn, endsOn }),
  { wrong, check } = useCheckedForm(classFieldsSchema, () => ({
    ...form,
    startsOn: form.startsOn || null,
    endsOn: form.endsOn || null
  })),
  { problem, act } = useAct(),
  kept = ref(false),
  standards = ref(false)

const WHEELS = [
  { value: 'painter', title: 'the painter’s: red, yellow, blue' },
  { value: 'process', title: 'process: cyan, magenta, yellow' },
  { value: 'perceptual', title: 'perceptual: even steps to the eye' }
]
async function keep() {
  const body = check()
  if (!body) return
  kept.value = await act(() => api(z.object({}), `/classes/${props.details.id}`, { method: 'PUT', body }))
  if (kept.value) emit('changed')
}
</script>

<template>
  <section class="class-form" aria-labelledby="class-title">
    <h2 id="class-title">What it goes by</h2>
    <fieldset :disabled="details.archived">
      <v-text-field v-model="form.name" label="Name" maxlength="120" :error-messages="wrong.name" @change="keep" />
      <v-select v-model="form.wheel" :items="WHEELS" label="Colour wheel" @update:model-value="keep" />
      <v-text-field
        v-model="form.budgetMinutes"
        type="number"
        min="1"
        label="Minutes for a critique"
        :error-messages="wrong.budgetMinutes"
        @change="keep"
      />
      <div class="term">
        <v-text-field
          v-model="form.startsOn"
          type="date"
          label="Term from"
          :error-messages="wrong.startsOn"
          @change="keep"
        />
        <v-text-field v-model="form.endsOn" type="date" label="to" :error-messages="wrong.endsOn" @change="keep" />
      </div>
    </fieldset>
    <p v-if="problem" role="alert">{{ problem }}</p>
    <p v-else-if="kept" role="status" class="quiet">Kept.</p>
    <button v-if="!details.archived" class="word-link" @click="standards = true">
      house standards: what is read as what
    </button>
    <LazyStandardsDialog
      v-if="standards"
      v-model="standards"
      :class-id="details.id"
      :class-name="details.name"
      @changed="emit('changed')"
    />
  </section>
</template>

<style scoped>
.class-form {
  display: grid;
  gap: 10px;
  justify-items: start;
}
fieldset {
  border: 0;
  padding: 0;
  margin: 0;
  width: 100%;
  display: grid;
  gap: 12px;
}
.term {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px;
}
</style>
