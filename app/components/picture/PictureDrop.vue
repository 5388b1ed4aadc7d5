<script setup lang="ts">
import { useDropZone, useObjectUrl } from '@vueuse/core'
import { PICTURE_LIMITS } from '~~/shared/submission'

/** Choosing a picture, or dropping one. What is plainly too large is said before it is sent. */
withDefaults(defineProps<{ label?: string }>(), { label: 'Picture' })
const file = defineModel<File | null>({ required: true })
const zone = ref<HTMLElement>(), chooser = ref<HTMLInputElement>(), problem = ref('')
const preview = useObjectUrl(file)
const shown = computed(() => preview.value && file.value?.type !== 'image/tiff')

function take(files: FileList | File[] | null) {
  const first = files?.[0]
  if (!first) return
  problem.value = first.size > PICTURE_LIMITS.bytes ? `This file has ${Math.ceil(first.size / 1024 / 1024)} MB; at most 25 can be taken.` : ''
  file.value = problem.value ? null : first
}
const { isOverDropZone } = useDropZone(zone, { onDrop: take })
</script>

<template>
  <div ref="zone" class="drop" :class="{ over: isOverDropZone }">
    <img v-if="shown" :src="preview!" alt="The picture chosen">
    <p v-else-if="file">{{ file.name }}</p>
    <p v-else>Drop the picture here</p>
    <input ref="chooser" class="visually-hidden" type="file" accept="image/png,image/jpeg,image/webp,image/tiff" :aria-label="label" @change="take(chooser!.files)">
    <v-btn size="small" @click="chooser!.click()">{{ file ? 'Choose another' : 'Choose a picture' }}</v-btn>
    <p class="small">PNG, JPEG, WebP or TIFF, up to 40 megapixels and 25 MB</p>
    <p v-if="problem" role="alert" class="problem">{{ problem }}</p>
  </div>
</template>

<style scoped>
.drop { background: var(--wall); color: #000; min-height: 360px; display: grid; gap: 10px; place-content: center; justify-items: center; padding: 24px; }
.drop.over { outline: 3px solid var(--accent); }
img { max-width: 100%; max-height: 420px; }
.small { font-size: 12px; }
.problem { background: var(--paper); padding: 4px 10px; }
</style>
