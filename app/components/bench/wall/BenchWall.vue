<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { useBenchPicture } from '~/composables/usePicture'
import { GROUND_COLOUR } from '~/stores/wall'
import { hang, type Room, type WallFrame } from '~/wall/frame'
import { useDrawing } from '~/wall/useDrawing'
import { useHand } from '~/wall/useHand'
import { useKeyboardHand } from '~/wall/useKeyboardHand'
import type { Point } from '~~/shared/notes'

/**
 * The wall: the picture on its ground, seen through the lens, with the areas and marks drawn over it; beside it the
 * reference, if asked for.
 */
const props = defineProps<{ /** Nothing stands over the picture. */ bare?: boolean }>()
defineSlots<{ default?: (given: { frame: WallFrame }) => unknown }>()
const emit = defineEmits<{ point: [at: Point | null]; open: [correction: number] }>()
const bench = useBenchStore(),
  sight = useSightStore(),
  pencil = usePencilStore(),
  wall = useWallStore()
const { ready, problem, referenceReady, loadReference } = useBenchPicture()

const element = ref<HTMLElement>(),
  reference = ref<{ raster: { width: number; height: number } | null }>()
const { width, height } = useElementSize(element)
const MARGIN = 34,
  top = props.bare ? MARGIN : 84

const referred = computed(() => (bench.piece.hasReference ? wall.reference : 'off'))
const beside = computed(() => referred.value === 'beside'),
  under = computed(() => referred.value === 'under')
watch(
  referred,
  now => {
    if (now !== 'off' && !referenceReady.value) void loadReference()
  },
  { immediate: true }
)
/** The line stands only where there is something to compare. */
const divided = computed(
  () => wall.divider !== null && (under.value || sight.trials.length > 0 || sight.shownLens.name !== 'plain')
)
/** The picture takes the wall, or its left half. */
const room = computed<Room>(() => {
  const across = Math.max(1, width.value - 2 * MARGIN),
    half = beside.value ? (across - MARGIN) / 2 : across
  return { x: MARGIN, y: top, width: half, height: Math.max(1, height.value - top - MARGIN) }
})
const otherRoom = computed<Room>(() => ({ ...room.value, x: room.value.x + room.value.width + MARGIN }))
const frame = computed(() => hang(room.value, bench.piece, wall.view))
watch(
  () => frame.value.scale,
  scale => (wall.scale = scale),
  { immediate: true }
)
const otherFrame = computed(() =>
  hang(beside.value ? otherRoom.value : room.value, reference.value?.raster ?? bench.piece, wall.view)
)
const middle = () => [room.value.x + room.value.width / 2, room.value.y + room.value.height / 2] as const

/** Two places are one to the hand within a dozen wall pixels. */
const drawing = useDrawing((a, b) => {
  const [ax, ay] = frame.value.toWall(a.x, a.y),
    [bx, by] = frame.value.toWall(b.x, b.y)
  return Math.hypot(ax - bx, ay - by) < 12
})
const hand = useHand({ frame, middle, drawing, point: at => emit('point', at) })
const cross = useKeyboardHand(drawing, at => emit('point', at))
</script>

<template>
  <div
    ref="element"
    class="wall"
    :class="{ drawing: pencil.tool }"
    :style="{ background: GROUND_COLOUR[wall.ground] }"
    :data-ground="wall.ground"
  >
    <WallPicture :frame="frame" which="own" />
    <div
      v-if="beside || under"
      v-show="beside || sight.comparing || divided"
      :style="
        divided && under
          ? { position: 'absolute', inset: 0, clipPath: `inset(0 0 0 ${100 * wall.divider!}%)` }
          : undefined
      "
    >
      <WallPicture ref="reference" :frame="otherFrame" which="reference" />
    </div>
    <WallDivider v-if="divided" :frame="frame" :width="width" />
    <p v-if="!ready || problem" class="waiting" role="status">{{ problem || 'Hanging the picture …' }}</p>
    <LazyWallSheet
      :width="width"
      :height="height"
      :frame="frame"
      :top="top - 20"
      :hand="hand"
      :cross="cross"
      @open="emit('open', $event)"
    />
    <div class="over"><slot :frame="frame" /></div>
  </div>
</template>

<style scoped>
.wall {
  position: relative;
  overflow: hidden;
  min-height: 0;
}
.wall.drawing {
  cursor: crosshair;
}
.waiting {
  position: absolute;
  inset: 0;
  display: grid;
  place-items: center;
  color: var(--l0);
}
.over {
  z-index: 2;
  position: absolute;
  inset: 0;
  pointer-events: none;
}
.over > :deep(*) {
  pointer-events: auto;
}
</style>
