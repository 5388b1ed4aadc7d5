<script setup lang="ts">
/** The workshop's rooms. */
const ROOMS = [
  ['/workshop', 'Mixing'],
  ['/workshop/values', 'Values and colour'],
  ['/workshop/drills', 'Drills for the eye']
] as const
</script>

<template>
  <nav class="rooms" aria-label="Workshop">
    <NuxtLink v-for="[to, label] in ROOMS" :key="to" :to="to">{{ label }}</NuxtLink>
  </nav>
</template>

<style scoped>
.rooms {
  display: flex;
  gap: 20px;
  padding-top: 14px;
  font-family: var(--serif);
  font-size: 19px;
}
a {
  color: var(--quiet);
  text-decoration: none;
}
.router-link-exact-active {
  color: var(--ink);
}
</style>
