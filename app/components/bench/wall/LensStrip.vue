<script setup lang="ts">
import { useBenchPicture } from '~/composables/usePicture'
import { nextTask } from '~/start/oneByOne'
import type { LensChoice } from '~~/core/critique/stations/station'

/** Live small views of the picture: each is a lens, and shows what it would show. */
const props = defineProps<{ choices: readonly LensChoice[] }>()
const sight = useSightStore()
const { ask, ready } = useBenchPicture()

const canvases = ref<HTMLCanvasElement[]>([])
const same = (choice: LensChoice): boolean => JSON.stringify(choice.request) === JSON.stringify(sight.lens)

/** A task later than the station that brings them. */
const hung = shallowRef(props.choices)
watch(
  () => props.choices,
  async now => {
    await nextTask()
    hung.value = now
  }
)
watch(
  [hung, ready],
  async ([choices]) => {
    if (!ready.value) return
    await nextTick()
    for (const [i, choice] of choices.entries()) {
      if (choices !== hung.value) return
      const bitmap = await ask(w => w.lens(choice.request, 150))
      const canvas = canvases.value[i]
      if (!bitmap || !canvas) return
      canvas.width = bitmap.width
      canvas.height = bitmap.height
      canvas.getContext('2d')!.drawImage(bitmap, 0, 0)
      bitmap.close()
    }
  },
  { immediate: true }
)
</script>

<template>
  <div class="strip" role="radiogroup" aria-label="Lens">
    <button
      v-for="(choice, i) in hung"
      :key="choice.label"
      role="radio"
      :aria-checked="same(choice)"
      :title="`${choice.label} (${i + 1})`"
      @click="sight.lens = choice.request"
    >
      <canvas ref="canvases" aria-hidden="true" />
      <span>{{ choice.label }}</span>
    </button>
  </div>
</template>

<style scoped>
.strip {
  display: flex;
  gap: 6px;
}
button {
  color: var(--l0);
  font-size: 11px;
  line-height: 1.3;
  text-align: center;
}
canvas {
  display: block;
  height: 44px;
  width: auto;
  max-width: 76px;
  min-width: 30px;
  object-fit: contain;
  border: 1px solid transparent;
  margin: 0 auto;
}
button[aria-checked='true'] canvas {
  outline: 2px solid var(--l100);
  outline-offset: 0;
}
button[aria-checked='true'] span {
  font-weight: 600;
}
</style>
