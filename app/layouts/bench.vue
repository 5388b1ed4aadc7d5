<template>
  <v-theme-provider theme="bench" with-background class="bench-ground"><slot /></v-theme-provider>
</template>

<style>
.bench-ground {
  height: 100vh;
  overflow: hidden;
}
</style>
