<script setup lang="ts">
import { tallyWords } from '~~/core/progress/words'
import { progressSchema } from '~~/shared/pieces/progress'

/** One learner over the term: what is read of their pieces, what became of their corrections, their exercises. */
definePageMeta({ whose: 'everybody' })

const id = Number(useRoute().params.person),
  session = useSessionStore()
const { data: progress, problem } = useApiData(progressSchema, `/people/${id}/progress`)
const own = computed(() => id === session.person.id)
useHead({ title: () => `${progress.value?.learner.name ?? 'Progress'} · Critica` })
const { act, busy, problem: unmade } = useAct()
const sheet = () =>
  act(() =>
    download(`/people/${id}/progress/sheet`, {
      method: 'GET',
      fileName: `${progress.value?.learner.name ?? 'term'}.pdf`
    })
  )
const line = computed(() => {
  if (!progress.value) return '…'
  const { pieces, studies, tally } = progress.value
  if (pieces.length === 0)
    return own.value ? 'Nothing was released to you yet: this fills with your critiques.' : 'Nothing was handed in yet.'
  const besides = studies ? `; ${countWord(studies)} ${studies === 1 ? 'study' : 'studies'} handed in` : '',
    many = `${capital(countWord(pieces.length))} piece${pieces.length === 1 ? '' : 's'}${besides}.`
  return `${many} ${tallyWords(tally)}`
})
const linkOf = (piece: { id: number }) => (own.value ? `/critique/${piece.id}` : `/bench/${piece.id}`)
</script>

<template>
  <div class="with-side">
    <header>
      <NuxtLink :to="own ? '/work' : '/desk'" class="quiet">{{ own ? 'My work' : 'Desk' }}</NuxtLink>
      <h1>{{ own ? 'My term' : (progress?.learner.name ?? '…') }}</h1>
      <p class="words">{{ line }}</p>
      <p v-if="problem || unmade" role="alert">{{ problem || unmade }}</p>
      <p v-if="progress?.pieces.length" class="word-row">
        <button class="word-link" :disabled="busy" @click="sheet">the term on a sheet (PDF)</button>
        <a class="word-link" :href="apiAt(`/people/${id}/progress/table`)" download>readings as a table (CSV)</a>
      </p>
    </header>
    <section aria-labelledby="readings-title">
      <h2 id="readings-title">What was read</h2>
      <ul v-if="progress" class="strip" aria-label="Pieces in their order">
        <li v-for="p in progress.pieces" :key="p.id">
          <NuxtLink :to="linkOf(p)"
            ><img :src="apiAt(`/submissions/${p.id}/picture/thumb`)" :alt="p.title" loading="lazy" /><span
              class="quiet"
              >{{ p.version > 1 ? `version ${p.version}` : dayWords(p.at) }}</span
            ></NuxtLink
          >
        </li>
      </ul>
      <ul v-if="progress" class="lines">
        <ReadingOverTime v-for="l in progress.lines" :key="l.id" :line="l" :pieces="progress.pieces" />
      </ul>
      <p v-if="progress?.lines.length" class="quiet small">
        The grey band is where a reading meets the house standard. Dots are joined from three pieces on: fewer are
        pieces, and no trend.
      </p>
    </section>
    <aside>
      <section v-if="progress?.tally.length" aria-labelledby="tally-title">
        <h2 id="tally-title">Corrections</h2>
        <StationTallies :tally="progress.tally" />
      </section>
      <section v-if="progress?.exercises.length" aria-labelledby="done-title">
        <h2 id="done-title">Exercises</h2>
        <ul class="done">
          <li v-for="e in progress.exercises" :key="e.id">
            <NuxtLink :to="`/exercises/${e.id}`">{{ e.title }}</NuxtLink>
            <span class="quiet"> · {{ e.state === 'again' ? 'to be done again' : e.state }}</span>
          </li>
        </ul>
      </section>
    </aside>
  </div>
</template>

<style scoped>
section {
  grid-template-columns: minmax(0, 1fr);
}
header {
  overflow-wrap: anywhere;
}
.strip,
.lines,
.done {
  list-style: none;
  padding: 0;
}
.strip {
  display: flex;
  gap: 14px;
  overflow-x: auto;
  padding-bottom: 8px;
}
.strip a {
  display: grid;
  text-decoration: none;
  font-size: 12px;
}
.strip img {
  height: 74px;
  display: block;
  background: var(--wall);
}
.lines {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(230px, 1fr));
  gap: 18px 28px;
  margin-top: 12px;
}
.done {
  display: grid;
  gap: 6px;
}
.small {
  font-size: 13px;
}
</style>
