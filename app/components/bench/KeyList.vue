<script setup lang="ts">
import type { BenchKey } from '~/composables/useBenchKeys'

/** The bench's own keys, shown on "?". */
defineProps<{ keys: readonly BenchKey[] }>()
const open = defineModel<boolean>({ required: true })
</script>

<template>
  <v-dialog v-model="open" max-width="820" aria-label="Keys">
    <v-card>
      <dl class="keys">
        <div v-for="{ shown, does } in keys" :key="shown">
          <dt>{{ shown }}</dt>
          <dd>{{ does }}</dd>
        </div>
      </dl>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.keys {
  columns: 2;
  column-gap: 32px;
  padding: 20px 24px;
}
.keys > div {
  display: grid;
  grid-template-columns: 84px 1fr;
  padding: 4px 0;
  break-inside: avoid;
}
dt {
  font-weight: 600;
  white-space: pre;
}
@media (max-width: 700px) {
  .keys {
    columns: 1;
  }
}
</style>
