<script setup lang="ts">
import { useBenchPicture } from '~/composables/usePicture'
import type { LensRequest } from '~~/core/lens/lens'
import type { WallFrame } from '~/wall/frame'
import type { Which } from '~/workers/protocol'

/** One hung picture, seen through the lens; looked at closely, the plain one shows every pixel of the file. */
const props = defineProps<{ frame: WallFrame; which: Which; /** Whatever is looked at: as it is. */ plain?: boolean }>()
const bench = useBenchStore(),
  sight = useSightStore()
const PLAIN: LensRequest = { name: 'plain' }
const lens = computed(() => (props.plain ? PLAIN : sight.shownLens))
const { client, ready, referenceReady, problem } = useBenchPicture()

const canvas = ref<HTMLCanvasElement>()
const loaded = computed(() => (props.which === 'own' ? ready.value : referenceReady.value))
const raster = shallowRef<{ width: number; height: number } | null>(null)

/** One picture in the making; while it is made only the newest wish waits. */
const draw = latest(async () => {
  if (!loaded.value) return
  const asked = lens.value,
    trials = props.which === 'own' && !props.plain && asked.name === 'plain' && !sight.comparing ? sight.trials : []
  const bitmap = await client
    .call(w => (trials.length ? w.tried(trials, sight.sliding) : w.lens(asked, undefined, props.which)))
    .catch((error: Error) => {
      problem.value = error.message
    })
  if (!bitmap || !canvas.value) return
  if (asked === lens.value && (trials.length === 0 || trials === sight.trials)) {
    canvas.value.width = bitmap.width
    canvas.value.height = bitmap.height
    raster.value = { width: bitmap.width, height: bitmap.height }
    canvas.value.getContext('2d')!.drawImage(bitmap, 0, 0)
    canvas.value.dataset.lens = asked.name
    canvas.value.dataset.tried = String(trials.length)
    performance.mark('wall-drawn')
  }
  bitmap.close()
})
watch([lens, () => sight.trials, () => sight.comparing, () => sight.sliding, loaded], () => void draw(undefined))
onMounted(() => void draw(undefined))

/** The whole file is fetched only when the display size has no more to show. */
const wanted = computed(
  () =>
    props.which === 'own'
    && lens.value.name === 'plain'
    && (props.plain || sight.trials.length === 0)
    && raster.value !== null
    && bench.piece.width > raster.value.width
    && props.frame.scale * bench.piece.width * window.devicePixelRatio > 1.25 * raster.value.width
)
const fetched = ref(false)
watch(wanted, now => {
  if (now) fetched.value = true
})
const size = computed(() => (props.which === 'own' ? bench.piece : (raster.value ?? { width: 1, height: 1 })))
const style = computed(() => ({
  width: `${size.value.width}px`,
  height: `${size.value.height}px`,
  transform: props.frame.transform,
  imageRendering: props.frame.scale > 3 ? ('pixelated' as const) : ('auto' as const)
}))
const label = computed(() =>
  props.which === 'own' ? `${bench.piece.title}, seen through: ${lens.value.name}` : 'the reference'
)
defineExpose({ raster })
</script>

<template>
  <canvas
    ref="canvas"
    class="picture"
    role="img"
    :aria-label="label"
    :data-which="plain ? 'plain' : which"
    :style="style"
  />
  <img
    v-if="fetched"
    v-show="wanted"
    class="picture"
    :src="apiAt(`/submissions/${bench.piece.id}/picture/full`)"
    alt=""
    :style="style"
  />
</template>

<style scoped>
.picture {
  position: absolute;
  left: 0;
  top: 0;
  transform-origin: 0 0;
  max-width: none;
}
</style>
