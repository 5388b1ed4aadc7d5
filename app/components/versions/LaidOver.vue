<script setup lang="ts">
import { WHOLE } from '~~/core/compare/carried'
import type { Point } from '~~/core/numeric/homography'
import type { Match } from '~~/core/register/register'
import type { PieceFacts } from '~~/shared/pieces/submission'
import type { VersionsLens } from '~/workers/versions-protocol'
import { LAID_KEY } from '~/composables/useLaidPictures'

/** A new version before it is handed in: found on the older one by itself, shown, and set by hand where it is not. */
const props = defineProps<{ file: Blob; earlier: PieceFacts }>()
/** Corners that were set by hand; null where it was found. */
const byHand = defineModel<readonly Point[] | null>({ required: true })
const laid = useLaidPictures()
provide(LAID_KEY, laid)
const match = ref<Match | null>(null),
  setting = ref(false),
  lens = shallowRef<VersionsLens>({ name: 'plain' })
const corners = shallowRef<readonly Point[]>(WHOLE)
const old = laid.fetchVersion(props.earlier.id, 'old')

watch(
  () => props.file,
  async file => {
    match.value = null
    byHand.value = null
    setting.value = false
    await Promise.all([old, laid.load(file, 'new')])
    const found = await laid.register()
    if (!found || file !== props.file) return
    match.value = found.match
    corners.value = found.corners ?? WHOLE
    if (found.corners) await laid.lay(found.corners, null)
  },
  { immediate: true }
)
async function keep() {
  byHand.value = corners.value
  setting.value = false
  await laid.lay(corners.value, null)
}
const before = computed(() => `version ${props.earlier.version}`)
const said = computed(() => {
  if (laid.problem.value) return laid.problem.value
  if (byHand.value) return 'It lies as you set it.'
  if (!match.value) return `Looking for it on ${before.value} …`
  return {
    sure: `It lies on ${before.value}, for sure.`,
    unsure:
      `It seems to lie on ${before.value} like this, not for sure.`
      + ' Look at the line between, or let it blink; set four points where it is off.',
    another:
      `It is not found on ${before.value}. If it is another picture, hand it in as a new piece;`
      + ' if it is the same one, set the four points.'
  }[match.value]
})
</script>

<template>
  <section class="laid" aria-label="Over the older version">
    <OlderCorners v-if="setting" v-model="corners" class="shown" />
    <VersionsWall v-else-if="laid.laid.value" class="shown" :lens="lens" :old="before" new="the new one">
      <button
        class="word-link"
        :aria-pressed="lens.name === 'difference'"
        @click="lens = lens.name === 'difference' ? { name: 'plain' } : { name: 'difference', kind: 'colour' }"
      >
        what changed
      </button>
    </VersionsWall>
    <p role="status">{{ said }}</p>
    <p class="acts">
      <button v-if="setting" type="button" class="word-link" @click="keep">lay it so</button>
      <button v-if="match || setting" type="button" class="word-link" @click="setting = !setting">
        {{ setting ? 'leave it' : 'set four points' }}
      </button>
      <NuxtLink v-if="match === 'another' && !byHand" class="word-link" to="/hand-in">hand in a new piece</NuxtLink>
    </p>
  </section>
</template>

<style scoped>
.laid {
  display: grid;
  gap: 6px;
  margin-bottom: 16px;
}
.shown {
  height: 470px;
}
.acts {
  display: flex;
  gap: 16px;
}
</style>
