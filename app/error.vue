<script setup lang="ts">
import type { NuxtError } from '#app'

/** Where nothing else can be shown: an address that leads nowhere, or a server that does not answer. */
const props = defineProps<{ error: NuxtError }>()
const lost = computed(() => props.error.statusCode === 404)
useHead({ title: 'Critica' })
const again = () => clearError({ redirect: lost.value ? '/' : undefined }).then(() => lost.value || reloadNuxtApp())
</script>

<template>
  <v-app>
    <main class="astray">
      <h1>{{ lost ? 'Nothing hangs here.' : 'The studio does not answer.' }}</h1>
      <p class="words">
        {{
          lost
            ? 'The address leads to no page. It may have been typed wrong, or what it showed was taken away.'
            : 'The server could not be reached, or failed. What you wrote is kept in this browser until it answers.'
        }}
      </p>
      <v-btn variant="flat" color="primary" @click="again">{{ lost ? 'To the beginning' : 'Try again' }}</v-btn>
    </main>
  </v-app>
</template>

<style scoped>
.astray {
  max-width: 560px;
  margin: 18vh auto 0;
  padding: 0 24px;
  display: grid;
  gap: 16px;
  justify-items: start;
}
</style>
