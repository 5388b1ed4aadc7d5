<script setup lang="ts">
import type { Point } from '~~/core/numeric/homography'

/** Where the older version lies on the new one, set by hand. */
const corners = defineModel<readonly Point[]>({ required: true })
const laid = useLaid()
</script>

<template>
  <FourPoints
    v-model="corners"
    :picture="laid.newSize.value"
    :drawn="laid.unlaid"
    label="the new version"
    of="The older version’s"
    beyond
  />
</template>
