<script setup lang="ts">
import { careFor } from '~~/core/exercise/care'
import { exerciseSet, PLAIN_SETTINGS, type ExerciseKey } from '~~/core/exercise'
import type { OwnListed } from '~~/shared/exercises/own-exercise'

/**
 * One exercise of the shelf, or one's own: what it trains, how it is done, what is checked, its sheet; and setting it.
 */
const props = defineProps<{ exercise: ExerciseKey; own: OwnListed | null }>()
const emit = defineEmits<{ set: []; adapt: [] }>()
const session = useSessionStore()
const what = computed(() => exerciseSet({ exercise: props.exercise, own: props.own?.exercise ?? null }))
const sheet = (query: string): string => apiAt(`/exercises/${props.exercise}/worksheet?${query}`)
const PAPERS = [
  ['A4', 'a4'],
  ['Letter', 'letter']
] as const
</script>

<template>
  <article class="exercise">
    <div class="text">
      <h2>{{ what.title }}</h2>
      <p class="words">{{ what.trains }}.</p>
      <ol class="words steps">
        <li v-for="step in what.steps" :key="step">{{ step }}</li>
      </ol>
      <h3>What is checked</h3>
      <ul class="checks">
        <li v-for="check in what.checks" :key="check.id">{{ check.asks(PLAIN_SETTINGS) }}.</li>
      </ul>
      <p v-if="session.person.roles.includes('instructor')">
        <button class="word-link" @click="emit('adapt')">
          {{ own ? 'change it' : 'copy it, and change the copy' }}
        </button>
      </p>
      <details>
        <summary>Care</summary>
        <ul class="checks">
          <li v-for="sentence in careFor('any', what.cuts)" :key="sentence">{{ sentence }}</li>
        </ul>
      </details>
    </div>
    <div class="side">
      <LazySetForm :exercise="exercise" :own="own?.id ?? null" @set="emit('set')" />
      <figure>
        <WorksheetPicture :src="sheet('as=svg')" :label="`The worksheet of ${what.title}`" class="sheet" />
        <figcaption class="word-row">
          <a
            v-for="[name, paper] in PAPERS"
            :key="paper"
            class="word-link"
            :href="sheet(`paper=${paper}`)"
            target="_blank"
            >print it, {{ name }}</a
          >
          <a class="word-link" :href="sheet('answers=true')" target="_blank">its key</a>
        </figcaption>
      </figure>
    </div>
  </article>
</template>

<style scoped>
.exercise {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 320px;
  gap: 36px;
  align-items: start;
}
.text,
.side {
  display: grid;
  gap: 14px;
}
.steps {
  padding-left: 20px;
  display: grid;
  gap: 6px;
}
.checks {
  padding-left: 18px;
  display: grid;
  gap: 4px;
}
summary {
  cursor: pointer;
}

.sheet {
  border: 1px solid var(--line);
}
figcaption {
  padding-top: 6px;
}
@media (max-width: 900px) {
  .exercise {
    grid-template-columns: 1fr;
  }
}
</style>
