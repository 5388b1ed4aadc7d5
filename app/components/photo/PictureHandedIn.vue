<script setup lang="ts">
import type { PhotoSteps } from '~~/core/photo/steps'

/** A picture chosen to be handed in; a photograph of work is laid flat, and freed of its light, where it stands. */
defineProps<{
  /** What is chosen is shown elsewhere. */ brief?: boolean
  /** It was to be sent without one. */ missing?: boolean
}>()
const file = defineModel<File | null>({ required: true }),
  focus = defineModel<{ x: number; y: number } | null>('focus', { required: true }),
  steps = defineModel<PhotoSteps | null>('steps', { required: true }),
  laidFlat = defineModel<Blob | null>('laidFlat', { required: true })
/** The photograph’s corners or its white are being set: the picture waits. */
const setting = ref(false)
</script>

<template>
  <div>
    <PictureDrop v-show="!setting" v-model="file" v-model:focus="focus" :brief="brief" :instead="laidFlat" />
    <LazyPhotographedSheet
      v-if="file"
      v-model:setting="setting"
      v-model:steps="steps"
      v-model:picture="laidFlat"
      :file="file"
    />
    <p v-if="missing" role="alert" class="problem">Choose the picture first.</p>
  </div>
</template>

<style scoped>
.problem {
  color: var(--accent);
}
</style>
