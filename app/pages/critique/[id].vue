<script setup lang="ts">
import { exerciseSet } from '~~/core/exercise'
import { critiqueSchema } from '~~/shared/critique'
import { submissionSchema } from '~~/shared/pieces/submission'

definePageMeta({ whose: 'everybody' })

const id = Number(useRoute().params.id)
const { data: submission, problem: noPiece } = useApiData(submissionSchema, `/submissions/${id}`)
const { data: critique, problem: noCritique, refresh } = useApiData(critiqueSchema, `/submissions/${id}/critique`)
const problem = computed(() => noPiece.value || noCritique.value)
useHead({ title: () => `${submission.value?.title ?? 'Critique'} · Critica` })

const chosen = ref<number | null>(null)
/** The instructor looks at it as the learner will. */
const session = useSessionStore(),
  previewed = computed(() => submission.value?.learner.id !== session.person.id)
const works = computed(() => critique.value?.works.split('\n').filter(Boolean) ?? [])
</script>

<template>
  <p v-if="problem && !(submission && critique)" role="alert" class="alone">{{ problem }}</p>
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
      <CorrectionList v-if="critique.corrections.length" v-model="chosen" :corrections="critique.corrections" />
      <section v-if="critique.verdict" aria-label="Verdict">
        <h2>The next step</h2>
        <RichText :words="critique.verdict" />
      </section>
      <KeyReadings v-if="critique.readings.length" :critique="critique" />
      <PhotoSaid v-if="submission.photo" :photo="submission.photo" />
      <QuestionBack
        v-if="!previewed || critique.questionBack"
        :submission-id="id"
        :critique="critique"
        @asked="refresh"
      />
      <ScoreList v-if="critique.score" :score="critique.score" />
      <p v-if="!previewed" class="word-row">
        <NuxtLink :to="`/hand-in?again=${id}`">Hand in a new version</NuxtLink>
        <NuxtLink v-if="submission.earlierId" :to="`/versions/${id}`"
          >What landed since version {{ submission.version - 1 }}</NuxtLink
        >
      </p>
      <PieceStudies :submission-id="id" />
      <TakeAway :submission-id="id" />
      <section v-if="critique.assignment" aria-label="Exercise">
        <h2>Exercise: {{ exerciseSet(critique.assignment).title }}</h2>
        <p class="words">{{ exerciseSet(critique.assignment).trains }}.</p>
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
.preview {
  border: 1px solid var(--line);
  padding: 6px 10px;
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
