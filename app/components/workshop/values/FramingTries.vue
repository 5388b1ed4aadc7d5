<script setup lang="ts">
import type { FramingRead } from '~~/core/measure/composition/framing'
import { keepAsStudy, pictureOf, takeAsPicture } from '~/workshop/keeping'
import { openPictureWorker } from '~/workers/client'

/** Crops and proportions of the reference, each with its readings; the best is kept. */
const props = defineProps<{ file: Blob }>()
const { account } = useSessionStore()
const { act, busy, problem } = useAct()
const framings = shallowRef<readonly FramingRead[] | null>(null),
  source = shallowRef<ImageBitmap | null>(null),
  kept = ref<readonly string[]>([])
const client = openPictureWorker()
onBeforeUnmount(client.close)
watch(
  () => props.file,
  async file => {
    framings.value = null
    kept.value = []
    await act(async () => {
      await client.call(w => w.load(file, 'own'))
      source.value = await createImageBitmap(file)
      framings.value = await client.call(w => w.framings())
    })
  },
  { immediate: true }
)
/** Long edge of what is kept. */
const KEPT = 1200
type Crop = FramingRead['crop']
const sizeOf = ({ w, h }: Crop, edge: number) => {
  const [width, height] = [w * source.value!.width, h * source.value!.height],
    by = Math.min(1, edge / Math.max(width, height))
  return { width: Math.max(1, Math.round(width * by)), height: Math.max(1, Math.round(height * by)) }
}
function drawn(context: CanvasRenderingContext2D | OffscreenCanvasRenderingContext2D, crop: Crop) {
  const { width, height } = source.value!,
    { canvas } = context
  context.drawImage(
    source.value!,
    crop.x * width,
    crop.y * height,
    crop.w * width,
    crop.h * height,
    0,
    0,
    canvas.width,
    canvas.height
  )
}
function put(element: unknown, crop: Crop) {
  const canvas = element as HTMLCanvasElement | null
  if (!canvas || canvas.dataset.drawn === props.file.size.toString()) return
  Object.assign(canvas, sizeOf(crop, 420))
  canvas.dataset.drawn = props.file.size.toString()
  drawn(canvas.getContext('2d')!, crop)
}
const pictureFor = (crop: Crop): Promise<Blob> => pictureOf(sizeOf(crop, KEPT), context => drawn(context, crop))
const keep = ({ name, crop }: FramingRead) =>
  act(async () => {
    await keepAsStudy(await pictureFor(crop))
    kept.value = [...kept.value, name]
  })
const take = async ({ name, crop }: FramingRead) => takeAsPicture(await pictureFor(crop), `framing-${name}`)
</script>

<template>
  <div>
    <p v-if="!framings && !problem" class="quiet" role="status">cropping and measuring …</p>
    <p v-if="problem" role="alert">{{ problem }}</p>
    <div class="tries">
      <figure v-for="f in framings" :key="f.name">
        <canvas :ref="el => put(el, f.crop)" role="img" :aria-label="f.name" />
        <figcaption>
          <b>{{ f.name }}</b>&ensp;<span class="quiet">{{ framingWords(f) }}</span>
          <p class="row">
            <NuxtLink v-if="kept.includes(f.name)" class="word-link" to="/studies">Kept with your studies.</NuxtLink>
            <button v-else-if="account && learns(account)" class="word-link" :disabled="busy" @click="keep(f)">
              keep it as a study
            </button>
            <button class="word-link" @click="take(f)">take it as a picture</button>
          </p>
        </figcaption>
      </figure>
    </div>
  </div>
</template>

<style scoped>
.tries {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(280px, 1fr));
  gap: 22px;
  align-items: end;
}
canvas {
  max-width: 100%;
  max-height: 240px;
}
figcaption {
  padding-top: 6px;
}
.row {
  display: flex;
  gap: 2px 14px;
}
</style>
