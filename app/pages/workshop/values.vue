<script setup lang="ts">
import type { MassMap } from '~~/core/masses/masses'
import { decodeSmall } from '~/workshop/pictures'
import { usePaintAnswer } from '~/workshop/usePaintAnswer'

/** Value first, colour later; palettes and framings tried: from a picture, or from three shapes drawn by hand. */
definePageMeta({ whose: 'everybody' })
useHead({ title: 'Values and colour · Critica' })

const workshop = useWorkshopStore()
onMounted(() => workshop.load())
const file = shallowRef<Blob | null>(null),
  pixels = shallowRef<ImageData | null>(null),
  tracing = ref(false),
  traced = shallowRef<MassMap | null>(null),
  problem = ref('')
async function open(chosen: Blob | string) {
  problem.value = ''
  try {
    const blob = typeof chosen === 'string' ? await (await fetch(chosen)).blob() : chosen
    pixels.value = await decodeSmall(blob)
    file.value = blob
    tracing.value = false
  } catch {
    problem.value = 'This picture cannot be opened: a JPEG, PNG or WebP can.'
  }
}
const count = ref<string | null>('3'),
  counts = ['3', '4', '5'].map(key => ({ key, label: `${key} masses` }))
const { answer: found, problem: unfound } = usePaintAnswer(() => {
  const image = pixels.value,
    n = Number(count.value)
  if (!image) return null
  const raster = { width: image.width, height: image.height, data: new Uint8ClampedArray(image.data) }
  return worker => worker.masses(raster, n)
})
const map = computed(() => (tracing.value ? traced.value : found.value))
const mode = ref<string | null>('scheme')
const modes = computed(() => [
  { key: 'scheme', label: 'One hue, then a scheme' },
  { key: 'palettes', label: 'Five palettes' },
  ...(file.value && !tracing.value ? [{ key: 'framings', label: 'Framings' }] : [])
])
watch(modes, some => {
  if (!some.some(m => m.key === mode.value)) mode.value = 'scheme'
})
</script>

<template>
  <div>
    <WorkshopHead />
    <div class="from">
      <p class="words">
        Squint first: settle the values in one hue, then let each mass take a colour while its value stands still.
      </p>
      <PictureChoice @open="open">
        <button class="word-link" :aria-pressed="tracing" @click="tracing = !tracing">
          {{ tracing ? 'put the shapes away' : 'draw three shapes instead' }}
        </button>
      </PictureChoice>
      <TraceMasses v-if="tracing" v-model="traced" />
      <p v-if="problem || unfound" role="alert">{{ problem || unfound }}</p>
    </div>
    <template v-if="map">
      <div class="row modes">
        <WordChoice v-model="mode" label="What is tried" :choices="modes" />
        <WordChoice v-if="!tracing && mode !== 'framings'" v-model="count" label="How many masses" :choices="counts" />
      </div>
      <SchemeTries v-if="mode === 'scheme'" :map="map" :wheel="workshop.wheel" />
      <PaletteTries v-else-if="mode === 'palettes'" :map="map" />
      <FramingTries v-else-if="file" :file="file" />
    </template>
  </div>
</template>

<style scoped>
.from {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
  padding: 12px 0 18px;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 26px;
  align-items: center;
}
.modes {
  justify-content: space-between;
  padding-bottom: 16px;
}
</style>
