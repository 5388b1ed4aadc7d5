<script setup lang="ts">
import { useDropZone } from '@vueuse/core'
import { ownPictures } from '~/workshop/pictures'

/** A picture to work from: one of one's own, or a file, chosen or dropped. */
const emit = defineEmits<{ open: [Blob | string] }>()
const { data: own } = ownPictures()
const chooser = ref<HTMLInputElement>(),
  zone = ref<HTMLElement>()
const take = (files: FileList | File[] | null) => files?.[0] && emit('open', files[0])
const { isOverDropZone } = useDropZone(zone, { onDrop: take })
</script>

<template>
  <div ref="zone" class="choice" :class="{ over: isOverDropZone }">
    <div v-if="own.length" class="own" role="group" aria-label="Your pictures">
      <button v-for="piece in own" :key="piece.id" :title="piece.title" @click="emit('open', piece.src)">
        <img :src="piece.src" :alt="piece.title" />
      </button>
    </div>
    <button class="word-link" @click="chooser!.click()">
      {{ own.length ? 'another picture' : 'choose a picture, or drop one here' }}
    </button>
    <input
      ref="chooser"
      class="visually-hidden"
      type="file"
      accept="image/png,image/jpeg,image/webp"
      aria-label="A picture"
      @change="take(chooser!.files)"
    />
    <slot />
  </div>
</template>

<style scoped>
.choice {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 24px;
  align-items: center;
  min-width: 0;
}
.over {
  outline: 2px dashed var(--l30);
  outline-offset: 4px;
}
.own {
  display: flex;
  gap: 8px;
  overflow-x: auto;
  max-width: 100%;
  min-width: 0;
}
.own img {
  height: 64px;
}
</style>
