<script setup lang="ts">
/** A page before the door: one column, one form, one thing to do. */
defineProps<{ title: string; lead?: string; problem?: string; act: string; busy?: boolean }>()
const emit = defineEmits<{ act: [] }>()
defineSlots<{ default?(): unknown; after?(): unknown }>()
</script>

<template>
  <section class="door-form">
    <h1>{{ title }}</h1>
    <p v-if="lead" class="words">{{ lead }}</p>
    <form class="field-stack" novalidate @submit.prevent="emit('act')">
      <slot />
      <p v-if="problem" role="alert" class="problem">{{ problem }}</p>
      <v-btn type="submit" color="primary" variant="flat" :loading="busy">{{ act }}</v-btn>
    </form>
    <slot name="after" />
  </section>
</template>

<style scoped>
.door-form {
  display: grid;
  gap: 14px;
  justify-items: start;
}
.problem {
  color: var(--accent);
}
@media (max-width: 600px) {
  .door-form {
    margin-top: 32px;
  }
}
</style>
