<script setup lang="ts">
/** A password as it is typed, shown when asked. */
defineProps<{ label: string; fresh?: boolean; wrong?: string | undefined }>()
const value = defineModel<string>({ required: true })
const legible = ref(false)
</script>

<template>
  <v-text-field
    v-model="value"
    :label="label"
    :type="legible ? 'text' : 'password'"
    :autocomplete="fresh ? 'new-password' : 'current-password'"
    :error-messages="wrong"
  >
    <template #append-inner>
      <button type="button" class="word-link" :aria-pressed="legible" @click="legible = !legible">
        {{ legible ? 'hide' : 'show' }}
      </button>
    </template>
  </v-text-field>
</template>
