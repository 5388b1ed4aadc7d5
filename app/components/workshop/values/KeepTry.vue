<script setup lang="ts">
import { drawMasses } from '~~/core/masses/colours'
import type { MassMap } from '~~/core/masses/masses'
import { keepAsStudy, pictureOf, takeAsPicture } from '~/workshop/keeping'

/** One of the tries, kept: as a learner's study, or as a picture. */
const props = defineProps<{ map: MassMap; hexes: readonly string[]; name: string }>()
const { account } = useSessionStore()
const { busy, problem, act } = useAct()
const kept = ref('')
watch(
  () => props.hexes,
  () => (kept.value = '')
)
const picture = (): Promise<Blob> =>
  pictureOf(props.map, context => {
    const pixels = new ImageData(props.map.width, props.map.height)
    drawMasses(props.map.labels, props.hexes, new Uint32Array(pixels.data.buffer))
    context.putImageData(pixels, 0, 0)
  })
const keep = () =>
  act(async () => {
    await keepAsStudy(await picture())
    kept.value = 'Kept with your studies.'
  })
const take = async () => takeAsPicture(await picture(), props.name)
</script>

<template>
  <p class="keep">
    <button v-if="account && learns(account) && !kept" class="word-link" :disabled="busy" @click="keep">
      keep it as a study
    </button>
    <span v-else-if="kept" role="status"
      ><NuxtLink class="word-link" to="/studies">{{ kept }}</NuxtLink></span
    >
    <button class="word-link" @click="take">take it as a picture</button>
    <span v-if="problem" role="alert">{{ problem }}</span>
  </p>
</template>

<style scoped>
.keep {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  font-size: 13px;
}
</style>
