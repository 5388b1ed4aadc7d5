<script setup lang="ts">
/** What is inside is set up in a task of its own: a screen set up all at once would hold the page for longer than a hand notices. */
const come = ref(false)
let timer: ReturnType<typeof setTimeout>
// A timer lets the page paint and answer in between; a promise would not.
onMounted(() => {
  timer = setTimeout(() => {
    come.value = true
  })
})
onBeforeUnmount(() => clearTimeout(timer))
</script>

<template><slot v-if="come" /></template>
