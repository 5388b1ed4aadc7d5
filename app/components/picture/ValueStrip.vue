<script setup lang="ts">
import type { Fingerprint } from '~~/core/measure/fingerprint'

/** A slim ramp from black to white with the picture's range bracketed on it. */
defineProps<Pick<Fingerprint, 'darkest' | 'lightest' | 'range'>>()
</script>

<template>
  <svg
    viewBox="0 0 100 10"
    preserveAspectRatio="none"
    class="strip"
    role="img"
    :aria-label="`values from ${Math.round(darkest)} to ${Math.round(lightest)}`"
  >
    <defs>
      <!-- Stops are the sRGB greys of L* 0, 25, 50, 75 and 100: an even ramp to the eye. -->
      <linearGradient id="value-ramp">
        <stop offset="0" stop-color="var(--l0)" />
        <stop offset=".25" stop-color="var(--l25)" />
        <stop offset=".5" stop-color="var(--l50)" />
        <stop offset=".75" stop-color="var(--l75)" />
        <stop offset="1" stop-color="var(--l100)" />
      </linearGradient>
    </defs>
    <rect x="0" y="2" width="100" height="6" fill="url(#value-ramp)" />
    <rect
      :x="darkest"
      y="0.6"
      :width="Math.max(1, range)"
      height="8.8"
      fill="none"
      stroke="var(--accent)"
      stroke-width="1.2"
      vector-effect="non-scaling-stroke"
    />
  </svg>
</template>

<style scoped>
.strip {
  height: 10px;
  width: 100%;
  display: block;
}
</style>
