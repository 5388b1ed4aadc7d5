<script setup lang="ts">
import { scoreRubric } from '~~/core/critique/rubric'
import { z } from 'zod'
import { describeTarget } from '~~/core/critique/target'
import { describeTrial } from '~~/core/trial/words'
import { EXERCISES } from '~~/core/exercise'
import { critiqueSchema, type Critique } from '~~/shared/critique'
import { submissionSchema, type Submission } from '~~/shared/submission'
import { tagOf } from '~~/core/critique/stations/table'
import { keptWords } from '~/utils/kept'

definePageMeta({ roles: ['instructor', 'learner'] })

const id = Number(useRoute().params.id)
const submission = ref<Submission | null>(null),
  critique = ref<Critique | null>(null)
const problem = ref(''),
  chosen = ref<number | null>(null)

onMounted(async () => {
  try {
    submission.value = await api(submissionSchema, `/submissions/${id}`)
    critique.value = await api(critiqueSchema, `/submissions/${id}/critique`)
    useHead({ title: `${submission.value.title} · Critica` })
  } catch (error) {
    problem.value = messageOf(error)
  }
})
const session = useSessionStore()
/** The instructor looks at it as the learner will. */
const previewed = computed(() => session.account?.role === 'instructor')
/** One correction after the other, each alone on the picture. */
function step(by: 1 | -1) {
  const all = critique.value!.corrections,
    at = all.findIndex(c => c.id === chosen.value)
  chosen.value = all[at < 0 ? (by > 0 ? 0 : all.length - 1) : at + by]?.id ?? null
}
const score = computed(() => (critique.value?.score ? scoreRubric(Object.values(critique.value.score.scores)) : null))
const kept = keptWords(useSessionStore().person.id, `question:${id}`, z.string())
const question = ref(kept.read() ?? '')
watch(question, kept.keep)
async function ask() {
  try {
    await api(z.object({}), `/submissions/${id}/question`, { method: 'POST', body: { question: question.value } })
    critique.value = await api(critiqueSchema, `/submissions/${id}/critique`)
    kept.drop()
    asked.value = ''
  } catch (error) {
    asked.value = messageOf(error)
  }
}
const asked = ref('')
const works = computed(() => critique.value?.works.split('\n').filter(Boolean) ?? [])
</script>

<template>
  <p v-if="problem" role="alert" class="alone">{{ problem }}</p>
  <article v-else-if="submission && critique" class="critique">
    <!-- The picture stays while the words are read. -->
    <MarkedPicture
      v-model="chosen"
      class="hung"
      :submission-id="id"
      :title="submission.title"
      :width="submission.width"
      :height="submission.height"
      :corrections="critique.corrections"
    />
    <div class="text">
      <p v-if="previewed" class="preview" role="status">
        {{ critique.state === 'released' ? 'Released.' : 'Not released yet.' }} So {{ submission.learner.name }} reads
        it. <NuxtLink :to="`/bench/${id}/verdict`">Back to the bench</NuxtLink>
      </p>
      <h1>{{ submission.title }}</h1>
      <p v-if="critique.amendedNote" class="quiet">
        Changed on {{ dayWords(critique.releasedAt!) }}: {{ critique.amendedNote }}
      </p>
      <p v-if="submission.question" class="question quiet">“{{ submission.question }}”</p>
      <section v-if="works.length" aria-label="What works">
        <h2>What works</h2>
        <p v-for="line in works" :key="line" class="words">{{ line }}</p>
      </section>
      <section v-if="critique.corrections.length" aria-label="Corrections">
        <h2>To change, in this order</h2>
        <p v-if="critique.corrections.length > 1" class="quiet steps">
          one by one: <button class="word-link" @click="step(-1)">before</button>
          <button class="word-link" @click="step(1)">next</button>
          <button v-if="chosen !== null" class="word-link" @click="chosen = null">all</button>
        </p>
        <ol>
          <li v-for="c in critique.corrections" :key="c.id" :class="{ chosen: chosen === c.id }" @click="chosen = c.id">
            <span class="tag">{{ tagOf(c) }}</span>
            <div>
              <p class="words">{{ c.what }}</p>
              <p v-if="c.reason && c.reason !== c.what" class="quiet">{{ c.reason }}</p>
              <p v-if="c.todo" class="words">{{ c.todo }}</p>
              <p v-if="c.trial" class="quiet">Shown on the picture: {{ describeTrial(c.trial) }}.</p>
              <p v-if="c.target" class="quiet">Reached with {{ describeTarget(c.target) }}.</p>
            </div>
          </li>
        </ol>
      </section>
      <section v-if="critique.verdict" aria-label="Verdict">
        <h2>The next step</h2>
        <RichText :words="critique.verdict" />
      </section>
      <KeyReadings v-if="critique.readings.length" :critique="critique" />
      <section v-if="!previewed || critique.questionBack" aria-label="One question back">
        <template v-if="critique.questionBack">
          <h2>You asked</h2>
          <p class="question">“{{ critique.questionBack }}”</p>
          <p class="words">{{ critique.answer || 'The answer will stand here.' }}</p>
        </template>
        <form v-else class="ask" @submit.prevent="ask">
          <v-textarea v-model="question" label="One question back" maxlength="1000" />
          <v-btn type="submit" size="small" :disabled="question.trim().length < 3">Ask it</v-btn>
          <p v-if="asked" role="alert">{{ asked }}</p>
        </form>
      </section>
      <section v-if="score && critique.score" aria-label="Score">
        <h2>Score: {{ score.percent }} %</h2>
        <p class="quiet">{{ score.sum }} of {{ score.most }}, over what was scored.</p>
        <ul class="score">
          <li
            v-for="q in critique.score.qualities.filter(k => critique!.score!.scores[k.key] !== undefined)"
            :key="q.key"
          >
            <span>{{ q.title }}</span><b>{{
              critique.score.scores[q.key] === 'not-applicable' ? '–' : critique.score.scores[q.key]
            }}</b>
          </li>
        </ul>
      </section>
      <TakeAway :submission-id="id" />
      <section v-if="critique.assignment" aria-label="Exercise">
        <h2>Exercise: {{ EXERCISES[critique.assignment.exercise].title }}</h2>
        <p class="words">{{ EXERCISES[critique.assignment.exercise].trains }}.</p>
        <p>
          <NuxtLink :to="`/exercises/${critique.assignment.id}`">Open the exercise</NuxtLink>
          <span class="quiet">· due {{ dueWords(critique.assignment.dueOn) }}</span>
        </p>
      </section>
    </div>
  </article>
</template>

<style scoped>
.critique {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 380px;
  gap: 36px;
  align-items: start;
  padding-top: 24px;
}
.hung {
  position: sticky;
  top: 24px;
}
.text {
  display: grid;
  gap: 18px;
}
h2 {
  margin-bottom: 4px;
}
ol {
  list-style: none;
  padding: 0;
  display: grid;
  gap: 4px;
}
li {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 10px;
  padding: 8px;
  margin: 0 -8px;
}
li {
  cursor: pointer;
}
.steps {
  display: flex;
  gap: 12px;
}
.preview {
  border: 1px solid var(--line);
  padding: 6px 10px;
}
li.chosen {
  background: var(--l91);
}

.ask {
  display: grid;
  gap: 8px;
  justify-items: start;
}
.ask > .v-input {
  width: 100%;
}
.score {
  list-style: none;
  padding: 0;
}
.score li {
  display: flex;
  justify-content: space-between;
  padding: 2px 0;
  margin: 0;
}
.tag {
  background: var(--l5);
  color: var(--l96);
  font-size: 12px;
  font-weight: 600;
  padding: 0 6px;
  height: 20px;
  line-height: 20px;
  margin-top: 2px;
}
.alone {
  padding-top: 24px;
}
@media (max-width: 900px) {
  .critique {
    grid-template-columns: 1fr;
  }
  .hung {
    position: static;
  }
}
</style>
