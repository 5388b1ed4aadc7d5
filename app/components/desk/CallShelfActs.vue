<script setup lang="ts">
import { useHolding } from '~/sitting/useHolding'
import type { CallShelf } from '~~/shared/pieces/submission'

/** What is done with an open call's shelf: the session in front of others, and the call itself. */
const props = defineProps<{ call: CallShelf }>()
const { problem, busy, hold } = useHolding(props.call.id)
</script>

<template>
  <div class="word-row acts">
    <v-btn v-if="call.session !== 'none'" color="primary" variant="flat" :loading="busy" @click="hold">{{
      call.session === 'open' ? 'Go on with the session' : 'Hold the session'
    }}</v-btn>
    <NuxtLink to="/calls" class="word-link">the call and who came</NuxtLink>
    <p v-if="problem" role="alert">{{ problem }}</p>
  </div>
</template>

<style scoped>
.acts {
  margin-bottom: 16px;
}
</style>
