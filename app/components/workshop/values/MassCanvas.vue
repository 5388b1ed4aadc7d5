<script setup lang="ts">
import { drawMasses } from '~~/core/masses/colours'
import type { MassMap } from '~~/core/masses/masses'

/** Masses in their colours: drawn anew as fast as the colours change. */
const props = defineProps<{ map: MassMap; hexes: readonly string[]; label: string }>()
const canvas = ref<HTMLCanvasElement>()
let pixels: ImageData | null = null
function draw() {
  const { width, height, labels } = props.map,
    context = canvas.value?.getContext('2d')
  if (!context) return
  if (!pixels || pixels.width !== width || pixels.height !== height) pixels = new ImageData(width, height)
  drawMasses(labels, props.hexes, new Uint32Array(pixels.data.buffer))
  context.putImageData(pixels, 0, 0)
}
watch(() => [props.map, props.hexes], draw, { flush: 'post' })
onMounted(draw)
</script>

<template>
  <canvas ref="canvas" :width="map.width" :height="map.height" role="img" :aria-label="label" />
</template>

<style scoped>
canvas {
  max-width: 100%;
  max-height: 300px;
}
</style>
