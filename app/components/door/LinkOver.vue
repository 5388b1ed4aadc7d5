<script setup lang="ts">
/** A link that opens nothing any more, and the ways on from it. */
defineProps<{ problem: string; /** Another one can be mailed. */ mailed?: boolean }>()
</script>

<template>
  <section class="over">
    <h1 role="alert">{{ problem }}</h1>
    <p class="ways">
      <NuxtLink v-if="mailed" to="/forgotten">Have another one mailed</NuxtLink>
      <NuxtLink to="/sign-in">Sign in</NuxtLink>
    </p>
  </section>
</template>

<style scoped>
.over {
  max-width: 420px;
  margin: 12vh auto 0;
  display: grid;
  gap: 14px;
}
.ways {
  display: flex;
  gap: 20px;
}
</style>
