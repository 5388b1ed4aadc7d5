<script setup lang="ts">
import { useDropZone, useMediaQuery, useObjectUrl } from '@vueuse/core'
import { PICTURE_LIMITS } from '~~/shared/pieces/submission'

/** Choosing a picture, or dropping one. What is plainly too large is said before it is sent. */
const props = withDefaults(
  defineProps<{
    label?: string
    /** What is chosen is shown elsewhere. */ brief?: boolean
    /** What it will be seen as: a photograph laid flat. */ instead?: Blob | null
  }>(),
  {
    label: 'Picture',
    instead: null
  }
)
const file = defineModel<File | null>({ required: true })
/** Where the eye should go, pointed out on the picture, in fractions. */
const focus = defineModel<{ x: number; y: number } | null>('focus', { default: null })
const zone = ref<HTMLElement>(),
  chooser = ref<HTMLInputElement>(),
  camera = ref<HTMLInputElement>(),
  problem = ref('')
const preview = useObjectUrl(computed(() => props.instead ?? file.value))
const shown = computed(() => preview.value && (props.instead || file.value?.type !== 'image/tiff') && !props.brief)

function take(files: FileList | File[] | null) {
  const first = files?.[0]
  if (!first) return
  problem.value =
    first.size > PICTURE_LIMITS.bytes
      ? `This file has ${Math.ceil(first.size / 1024 / 1024)} MB; at most 25 can be taken.`
      : ''
  file.value = problem.value ? null : first
}
function point(event: MouseEvent) {
  const box = (event.currentTarget as HTMLElement).getBoundingClientRect()
  focus.value = { x: (event.clientX - box.left) / box.width, y: (event.clientY - box.top) / box.height }
}
watch([file, () => props.instead], () => {
  focus.value = null
})
/** A hand-held screen has a camera, and nothing to drop from. */
const handheld = useMediaQuery('(pointer: coarse)')
const { isOverDropZone } = useDropZone(zone, { onDrop: take })
</script>

<template>
  <div ref="zone" class="drop" :class="{ over: isOverDropZone, brief: brief && file }">
    <div v-if="shown" class="chosen" @click="point">
      <img :src="preview!" alt="The picture chosen" />
      <span v-if="focus" class="eye" :style="{ left: `${100 * focus.x}%`, top: `${100 * focus.y}%` }" />
    </div>
    <p v-if="shown" class="small">
      {{ focus ? 'The eye should go there. Click again to move it.' : 'Click on the picture where the eye should go.' }}
    </p>
    <p v-if="file && !shown">{{ file.name }}</p>
    <p v-if="!file && !handheld">Drop the picture here</p>
    <input
      ref="chooser"
      class="visually-hidden"
      type="file"
      accept="image/png,image/jpeg,image/webp,image/tiff"
      :aria-label="label"
      @change="take(chooser!.files)"
    />
    <div class="ways">
      <v-btn v-if="handheld" size="large" @click="camera!.click()">Photograph it</v-btn>
      <v-btn :size="handheld ? 'large' : 'small'" @click="chooser!.click()">{{
        file ? 'Choose another' : 'Choose a picture'
      }}</v-btn>
    </div>
    <input
      v-if="handheld"
      ref="camera"
      class="visually-hidden"
      type="file"
      accept="image/*"
      capture="environment"
      aria-label="Photograph"
      tabindex="-1"
      @change="take(camera!.files)"
    />
    <p class="small">PNG, JPEG, WebP or TIFF, up to 40 megapixels and 25 MB</p>
    <p v-if="problem" role="alert" class="problem">{{ problem }}</p>
  </div>
</template>

<style scoped>
.drop {
  background: var(--wall);
  color: var(--l0);
  min-height: 360px;
  display: grid;
  gap: 10px;
  place-content: center;
  justify-items: center;
  padding: 24px;
}
.drop.brief {
  min-height: 0;
}
.drop.over {
  outline: 3px solid var(--accent);
}

.ways {
  display: flex;
  gap: 10px;
}
.chosen {
  position: relative;
  cursor: crosshair;
}
.eye {
  position: absolute;
  width: 26px;
  height: 26px;
  margin: -13px;
  border: 2px solid var(--l5);
  outline: 2px solid var(--l96);
}
img {
  max-width: 100%;
  max-height: 420px;
}
.small {
  font-size: 12px;
}
.problem {
  background: var(--paper);
  padding: 4px 10px;
}
@media (max-width: 600px) {
  .drop {
    min-height: 190px;
  }
}
</style>
