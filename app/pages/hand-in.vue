<script setup lang="ts">
import { exerciseSet } from '~~/core/exercise'
import { SCHEME_WORDS, SCHEMES } from '~~/core/wheel/schemes'
import { stageSchema, STAGE_WORDS } from '~~/shared/pieces/submission'

definePageMeta({ whose: ['learner'], key: route => route.fullPath })

useHead({ title: 'Hand in · Critica' })
const route = useRoute()
const exerciseId = Number(route.query.exercise) || null,
  againId = Number(route.query.again) || null
const {
  earlier,
  classes,
  assignment,
  studies,
  ledTo,
  focus,
  file,
  steps,
  laidFlat,
  reference,
  corners,
  form,
  wrong,
  busy,
  noFile,
  problem,
  send
} = useHandIn(exerciseId, againId)

const heading = computed(() =>
  assignment.value
    ? `Hand in: ${exerciseSet(assignment.value).title}`
    : againId
      ? `Hand in again: ${earlier.value?.title ?? '…'}`
      : 'Hand in a picture'
)
const stages = stageSchema.options.map(value => ({ value, title: STAGE_WORDS[value] }))
const schemes = [
  { value: '', title: 'none planned' },
  ...SCHEMES.map(s => ({ value: s.name as string, title: SCHEME_WORDS[s.name] }))
]
/** An exercise in a scheme of its own has said it. */
const asksScheme = computed(() => !assignment.value || !exerciseSet(assignment.value).plan)
</script>

<template>
  <div class="hand-in">
    <div>
      <LazyLaidOver v-if="file && earlier" v-model="corners" :file="laidFlat ?? file" :earlier="earlier" />
      <PictureHandedIn
        v-model="file"
        v-model:focus="focus"
        v-model:steps="steps"
        v-model:laid-flat="laidFlat"
        :brief="Boolean(againId)"
        :missing="noFile"
      />
    </div>
    <form novalidate @submit.prevent="send">
      <h1>{{ heading }}</h1>
      <v-select
        v-if="classes && classes.length > 1 && !exerciseId && !againId"
        v-model="form.classId"
        :items="classes"
        item-title="name"
        item-value="id"
        label="Class"
        :error-messages="wrong.classId"
      />
      <p v-if="earlier" class="quiet">
        Version {{ earlier.version + 1 }}. What it is and what it is about stays as with version {{ earlier.version }}.
      </p>
      <v-text-field v-if="!againId" v-model="form.title" label="Title" maxlength="120" :error-messages="wrong.title" />
      <div class="two">
        <v-select v-model="form.stage" :items="stages" label="Stage" />
        <v-text-field
          v-if="!againId"
          v-model="form.medium"
          label="Medium"
          placeholder="gouache, oil, digital …"
          maxlength="80"
        />
      </div>
      <v-textarea
        v-if="!againId"
        v-model="form.about"
        label="What is it about? Where should the eye go?"
        maxlength="500"
      />
      <v-textarea v-if="!exerciseId" v-model="form.question" label="Your question" maxlength="500" />
      <PlanSummary v-if="assignment?.plan" :plan="assignment.plan" :wheel="assignment.settings.wheel" />
      <v-select
        v-else-if="asksScheme && !againId"
        v-model="form.plannedScheme"
        :items="schemes"
        label="Colour scheme planned"
      />
      <v-file-input
        v-if="!againId"
        v-model="reference"
        label="Reference, if it is a study from one"
        accept="image/png,image/jpeg,image/webp,image/tiff"
      />
      <section v-if="studies?.length" aria-labelledby="led-title">
        <h2 id="led-title" class="small">Studies that led to it</h2>
        <StudyStrip v-model:chosen="ledTo" :studies="studies" choose />
      </section>
      <p v-if="problem" role="alert" class="problem">{{ problem }}</p>
      <p v-if="classes?.length === 0" role="alert" class="problem">
        Your classes are archived: there is nobody to hand in to.
        <NuxtLink to="/join">Join another by its code</NuxtLink>.
      </p>
      <v-btn type="submit" color="primary" variant="flat" :loading="busy">Hand it in</v-btn>
      <p class="quiet small">
        Your instructor sees the picture, and nobody else. Where and with what it was photographed is taken out first.
      </p>
    </form>
  </div>
</template>

<style scoped>
.hand-in {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 440px;
  gap: 36px;
  padding-top: 24px;
  align-items: start;
}
form {
  display: grid;
  gap: 14px;
  justify-items: start;
}
form > * {
  width: 100%;
}
form > .v-btn {
  width: auto;
}
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 14px;
}
.problem {
  color: var(--accent);
}
.small {
  font-size: 13px;
}
@media (max-width: 900px) {
  .hand-in {
    grid-template-columns: 1fr;
  }
}
</style>
