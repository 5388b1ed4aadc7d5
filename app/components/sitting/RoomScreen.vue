<script setup lang="ts">
import { PICTURE_KEY, usePicture } from '~/composables/usePicture'
import type { RoomSight } from '~/sitting/room'
import type { Point } from '~~/shared/notes'

/** One piece before the room: as it hangs on the bench, seen as it is seen there. Nothing is done here. */
const props = defineProps<{ title: string; by: string | null; seen: RoomSight | null; pointer: Point | null }>()
const bench = useBenchStore(),
  sight = useSightStore(),
  pencil = usePencilStore(),
  inHand = useInHandStore(),
  wall = useWallStore()
provide(PICTURE_KEY, usePicture(bench.piece.id))

watch(
  () => [props.seen, wall.scale] as const,
  ([seen, scale]) => {
    if (!seen) return
    bench.station = seen.station
    // The newest of a hand's quick changes is what the worker is asked for.
    sight.comparing = seen.comparing
    if (JSON.stringify(sight.lens) !== JSON.stringify(seen.lens)) sight.lens = seen.lens
    if (JSON.stringify(sight.trials) !== JSON.stringify(seen.trials)) sight.trials = seen.trials
    sight.points = seen.points
    sight.silhouette = seen.silhouette
    pencil.sketch = seen.sketch
    pencil.marking = seen.marking
    inHand.correction = seen.written
    wall.ground = seen.ground
    wall.reference = seen.reference
    wall.divider = seen.divider
    wall.view = { ...seen.view, panX: seen.view.panX * scale, panY: seen.view.panY * scale }
  },
  { immediate: true }
)
</script>

<template>
  <div class="before" inert>
    <BenchWall bare>
      <template #default="{ frame }">
        <p class="caption">
          {{ title }}<template v-if="by">, {{ by }}</template>
        </p>
        <span
          v-if="pointer"
          class="pointer"
          :style="{
            transform: `translate(${frame
              .toWall(pointer.x, pointer.y)
              .map(v => `${v}px`)
              .join(', ')})`
          }"
        />
      </template>
    </BenchWall>
  </div>
</template>

<style scoped>
.before {
  height: 100%;
  display: grid;
}
.caption {
  position: absolute;
  left: 34px;
  bottom: 7px;
  color: var(--l0);
}
.pointer {
  position: absolute;
  left: -9px;
  top: -9px;
  width: 18px;
  height: 18px;
  border: 2px solid var(--l0);
  outline: 2px solid var(--l100);
  border-radius: 50%;
}
</style>
