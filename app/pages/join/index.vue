<script setup lang="ts">
/** The code of a class, as it was read out or written on the board. */
definePageMeta({ whose: 'anybody' })
useHead({ title: 'Join a class · Critica' })
const code = ref('')
</script>

<template>
  <DoorForm
    title="Join a class"
    lead="Your instructor has its code."
    act="Look"
    @act="code.trim() && navigateTo(`/join/${encodeURIComponent(code.trim())}`)"
  >
    <v-text-field v-model="code" label="Code" autocomplete="off" autocapitalize="characters" maxlength="20" />
    <template #after>
      <p><NuxtLink to="/">Back</NuxtLink></p>
    </template>
  </DoorForm>
</template>
