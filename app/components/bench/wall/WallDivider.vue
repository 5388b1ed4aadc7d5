<script setup lang="ts">
import type { WallFrame } from '~/wall/frame'

/** A line across the wall: left of it the picture as it is, right of it what is looked at, lens, trial or reference. */
const props = defineProps<{ frame: WallFrame; width: number }>()
const sight = useSightStore(),
  wall = useWallStore()
const at = computed({ get: () => wall.divider!, set: wall.divide })
const after = computed(() =>
  sight.trials.length ? 'as it could be' : wall.reference === 'under' ? 'the reference' : 'through the lens'
)
</script>

<template>
  <div class="half" :style="{ clipPath: `inset(0 calc(100% - ${at * props.width}px) 0 0)` }">
    <WallPicture :frame="frame" which="own" plain />
  </div>
  <DividerLine v-model="at" :width="width" before="as it is" :after="after" label="Line between before and after" />
</template>

<style scoped>
.half {
  position: absolute;
  inset: 0;
  pointer-events: none;
}
</style>
