<script setup lang="ts">
/** A worksheet as it will be printed, in the page's own typefaces: an image of it could not have them. */
const props = defineProps<{ src: string; label: string }>()
const sheet = useTemplateRef<HTMLElement>('sheet')
watch(
  [() => props.src, sheet],
  async ([src, host]) => {
    if (!host) return
    const answer = await fetch(src).catch(() => null)
    if (!answer?.ok) return
    const drawn = new DOMParser().parseFromString(await answer.text(), 'image/svg+xml').documentElement
    if (drawn.nodeName === 'svg' && src === props.src) host.replaceChildren(document.importNode(drawn, true))
  },
  { immediate: true }
)
</script>

<template>
  <div ref="sheet" role="img" :aria-label="label" class="sheet" />
</template>

<style scoped>
.sheet {
  background: var(--l100);
  aspect-ratio: 210 / 297;
}
.sheet :deep(svg) {
  width: 100%;
  height: 100%;
}
.sheet :deep([font-family='Sans']),
.sheet :deep([font-family='SansExtended']) {
  font-family: var(--sans);
}
.sheet :deep([font-family='Serif']),
.sheet :deep([font-family='SerifExtended']) {
  font-family: var(--serif);
}
</style>
