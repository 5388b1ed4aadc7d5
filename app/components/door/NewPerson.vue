<script setup lang="ts">
/** Who somebody new is: a name, an address, a password of their own. */
defineProps<{ emailLabel: string; wrong: Readonly<Record<string, string>> }>()
const person = defineModel<{ name: string; email: string; password: string }>({ required: true })
</script>

<template>
  <v-text-field
    v-model="person.name"
    label="Your name"
    autocomplete="name"
    maxlength="120"
    :error-messages="wrong.name"
  />
  <v-text-field
    v-model="person.email"
    :label="emailLabel"
    type="email"
    autocomplete="username"
    :error-messages="wrong.email"
  />
  <SecretField v-model="person.password" label="A password" fresh :wrong="wrong.password" />
</template>
