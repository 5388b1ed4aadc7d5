<script setup lang="ts">
import type { Submission } from '~~/shared/pieces/submission'

/** The top of the versions: way back, which lies over which, how sure that is. */
const props = defineProps<{ piece: Submission; own: boolean; setting: boolean }>()
const emit = defineEmits<{ set: []; over: [id: number] }>()
const { versions, older, compared } = useTheCompared()
const others = computed(() => (versions.value ?? []).filter(v => v.number < props.piece.version))
const match = computed(() => {
  if (!compared.value) return ''
  if (compared.value.byHand) return 'laid by hand'
  return {
    sure: 'it lies on the old one: sure',
    unsure: 'it lies on the old one, not for sure',
    another: 'it is not found on the old one'
  }[compared.value.comparison.registration.match]
})
</script>

<template>
  <header class="dark-bar">
    <NuxtLink :to="own ? '/work' : '/desk'" class="back">{{ own ? '← My work' : '← Desk' }}</NuxtLink>
    <h1>{{ piece.title }}</h1>
    <span v-if="older" class="meta">
      <template v-if="!own">{{ piece.learner.name }} · </template>version {{ piece.version }} of
      {{ dayWords(piece.handedInAt) }} over
      <template v-for="(v, i) in others" :key="v.id"
        ><template v-if="i">, </template
        ><component
          :is="v.id === older.id ? 'span' : 'button'"
          :class="{ 'word-link': v.id !== older.id, now: v.id === older.id }"
          @click="v.id !== older.id && emit('over', v.id)"
          >{{ v.id === older.id ? `version ${v.number} of ${dayWords(v.handedInAt)}` : v.number }}</component
        ></template
      >
    </span>
    <span class="meta match" role="status">{{ match }}</span>
    <button
      v-if="compared && piece.state !== 'released'"
      class="word-link"
      :aria-pressed="setting"
      @click="emit('set')"
    >
      set four points
    </button>
    <NuxtLink v-if="!own" :to="`/bench/${piece.id}`" class="on">To the bench</NuxtLink>
    <NuxtLink v-else-if="piece.state === 'released'" :to="`/critique/${piece.id}`" class="on">To the critique</NuxtLink>
  </header>
</template>

<style scoped>
.meta {
  overflow: hidden;
  text-overflow: ellipsis;
}
.now {
  color: var(--panel-ink);
}
.match {
  flex: 1;
  text-align: right;
}
</style>
