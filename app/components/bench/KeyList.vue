<script setup lang="ts">
/** The bench's own keys, shown on "?". */
const open = defineModel<boolean>({ required: true })
</script>

<template>
  <v-dialog v-model="open" max-width="420" aria-label="Keys">
    <v-card>
      <dl class="keys">
        <template v-for="[key, does] in BENCH_KEYS" :key="key"
          ><dt>{{ key }}</dt>
          <dd>{{ does }}</dd></template
        >
      </dl>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.keys {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 8px 22px;
  padding: 20px 24px;
}
dt {
  font-weight: 600;
}
</style>
