<script setup lang="ts">
import { useBenchPicture } from '~/composables/usePicture'
import { nextTask } from '~/start/oneByOne'
import type { LensChoice } from '~~/core/critique/stations/station'

/** Live small views of the picture: each is a lens, and shows what it would show. */
const props = defineProps<{ choices: readonly LensChoice[] }>()
const sight = useSightStore()
const { ask, ready } = useBenchPicture()

const canvases: (HTMLCanvasElement | null)[] = []

/** A task later than the station that brings them. */
const hung = shallowRef(props.choices)
watch(
  () => props.choices,
  async now => {
    await nextTask()
    hung.value = now
  }
)
const radios = computed(() =>
  hung.value.map((c, i) => ({ key: JSON.stringify(c.request), label: c.label, hint: `${c.label} (${i + 1})` }))
)
const chosen = computed({
  get: () => JSON.stringify(sight.lens),
  set: key => {
    const choice = hung.value.find(c => JSON.stringify(c.request) === key)
    if (choice) sight.lens = choice.request
  }
})
watch(
  [hung, ready],
  async ([lenses]) => {
    if (!ready.value) return
    await nextTick()
    for (const [i, choice] of lenses.entries()) {
      if (lenses !== hung.value) return
      const bitmap = await ask(w => w.lens(choice.request, 150))
      const canvas = canvases[i]
      if (!bitmap || !canvas) return
      paintOn(canvas, bitmap)
    }
  },
  { immediate: true }
)
</script>

<template>
  <ChoiceGroup v-slot="{ choice, index }" v-model="chosen" class="strip" label="Lens" :choices="radios">
    <canvas :ref="el => (canvases[index] = el as HTMLCanvasElement | null)" aria-hidden="true" />
    <span>{{ choice.label }}</span>
  </ChoiceGroup>
</template>

<style scoped>
.strip {
  gap: 6px;
}
.strip :deep(label) {
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
.strip :deep(.chosen) canvas {
  outline: 2px solid var(--l100);
  outline-offset: 0;
}
.strip :deep(.chosen) span {
  font-weight: 600;
}
</style>
