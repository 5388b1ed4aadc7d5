<script setup lang="ts">
import { useEventListener, useTimeoutFn } from '@vueuse/core'
import type { Question, ShownPatch } from '~~/core/drill/question'

/** One question: patches on their ground; answered by pressing one, by words under it, or by number keys. */
const props = defineProps<{ question: Question }>()
const emit = defineEmits<{ answer: [readonly number[]] }>()
/** Several are chosen in turn where an order is asked for. */
const given = ref<readonly number[]>([]),
  stage = ref<'before' | 'shown' | 'after'>('shown')
/** Milliseconds that the eye has before a blink. */
const READY_MS = 900
const blink = useTimeoutFn(
    () => (stage.value = 'after'),
    () => props.question.flash ?? 0,
    { immediate: false }
  ),
  ready = useTimeoutFn(
    () => {
      stage.value = 'shown'
      blink.start()
    },
    READY_MS,
    { immediate: false }
  )
watch(
  () => props.question,
  ({ flash }) => {
    given.value = []
    stage.value = flash === null ? 'shown' : 'before'
    if (flash !== null) ready.start()
  },
  { immediate: true }
)
function choose(choice: number) {
  if (stage.value === 'before' || given.value.includes(choice)) return
  given.value = [...given.value, choice]
  if (given.value.length === props.question.right.length) emit('answer', given.value)
}
const choices = computed(() =>
  props.question.words ? props.question.words.map((_, i) => i) : props.question.patches.flatMap(p => p.choice ?? [])
)
useEventListener('keydown', (event: KeyboardEvent) => {
  const n = Number(event.key) - 1
  if (choices.value.includes(n)) choose(n)
})
const percent = (v: number): string => `${100 * v}%`
const placed = ({ x, y, w, h }: Pick<ShownPatch, 'x' | 'y' | 'w' | 'h'>) => ({
  left: percent(x),
  top: percent(y),
  width: percent(w),
  height: percent(h)
})
/** What a patch lies within reaches this far beyond it, of the field. */
const AROUND = { x: 0.07, y: 0.1 } as const
const around = ({ x, y, w, h }: ShownPatch) =>
  placed({ x: x - AROUND.x, y: y - AROUND.y, w: w + 2 * AROUND.x, h: h + 2 * AROUND.y })
const hexOf = ({ hex }: ShownPatch): string => (stage.value === 'shown' ? hex : 'transparent')
</script>

<template>
  <div class="asked">
    <p class="ask">{{ question.ask }}</p>
    <div class="field" :style="{ background: question.ground }">
      <template v-for="(patch, i) in question.patches" :key="i">
        <i v-if="patch.within" :style="{ ...around(patch), background: patch.within }" />
        <button
          v-if="patch.choice !== null"
          :style="{ ...placed(patch), background: hexOf(patch) }"
          :class="{ empty: stage === 'after' }"
          :aria-label="`Choice ${patch.choice + 1}`"
          @click="choose(patch.choice)"
        >
          <span v-if="question.right.length > 1 && given.includes(patch.choice)">{{
            given.indexOf(patch.choice) + 1
          }}</span>
        </button>
        <i v-else :style="{ ...placed(patch), background: hexOf(patch) }" />
      </template>
      <b v-if="stage === 'before'" class="look" aria-hidden="true">+</b>
    </div>
    <p class="answers">
      <template v-if="question.words">
        <v-btn v-for="(word, i) in question.words" :key="word" @click="choose(i)">{{ word }}</v-btn>
      </template>
      <button v-else-if="given.length" class="word-link" @click="given = []">begin this one again</button>
      <span class="quiet keys">or by the keys 1–{{ choices.length }}</span>
    </p>
  </div>
</template>

<style scoped>
.asked {
  display: grid;
  gap: 10px;
}
.ask {
  font-family: var(--serif);
  font-size: 19px;
}
.field {
  position: relative;
  aspect-ratio: 16 / 9;
  overflow: hidden;
}
.field > i,
.field > button {
  position: absolute;
}
.empty {
  border: 1px solid var(--l60);
}
.field span {
  padding: 2px 7px;
  background: var(--l96);
}
.look {
  position: absolute;
  inset: 0;
  display: grid;
  place-items: center;
  font-weight: 400;
  font-size: 28px;
}
.answers {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
  align-items: center;
  min-height: 36px;
}
/* A hand-held screen has none. */
@media (pointer: coarse) {
  .keys {
    display: none;
  }
}
</style>
