<script setup lang="ts">
import { z } from 'zod'
import { keptWords } from '~/utils/kept'
import { exerciseSet } from '~~/core/exercise'
import { SCHEME_WORDS, SCHEMES } from '~~/core/wheel/schemes'
import { assignmentSchema } from '~~/shared/assignment'
import { classListSchema } from '~~/shared/class'
import type { Point } from '~~/core/numeric/homography'
import {
  createdSchema,
  handInSchema,
  stageSchema,
  submissionSchema,
  STAGE_WORDS,
  type Stage
} from '~~/shared/submission'

definePageMeta({ whose: ['learner'] })

useHead({ title: 'Hand in · Critica' })
const route = useRoute()
const exerciseId = Number(route.query.exercise) || null,
  againId = Number(route.query.again) || null
const { data: earlier, problem: noEarlier } = useApiData(submissionSchema, againId ? `/submissions/${againId}` : null)
/** Where the older version lies in the new one, when that was set by hand. */
const corners = ref<readonly Point[] | null>(null)
const { data: allClasses, problem: noClasses } = useApiData(classListSchema, '/classes')
const classes = computed(() => allClasses.value?.filter(c => c.role === 'learner' && !c.archived) ?? null)
const { data: assignment, problem: noExercise } = useApiData(
  assignmentSchema,
  exerciseId === null ? null : `/assignments/${exerciseId}`
)
const focus = ref<{ x: number; y: number } | null>(null)
const file = ref<File | null>(null),
  reference = ref<File | null>(null)
const form = reactive({
  classId: null as number | null,
  title: '',
  stage: 'finished' as Stage,
  medium: '',
  question: '',
  about: '',
  plannedScheme: ''
})
const unsent = ref(''),
  busy = ref(false),
  problem = computed(() => unsent.value || noClasses.value || noExercise.value || noEarlier.value)
const { wrong, check } = useCheckedForm(handInSchema, () => ({
  ...form,
  assignmentId: exerciseId,
  earlierId: againId ?? undefined
}))
const wordsSchema = z.object({
  title: z.string(),
  stage: stageSchema,
  medium: z.string(),
  question: z.string(),
  about: z.string(),
  plannedScheme: z.string()
})
const kept = keptWords(
  useSessionStore().person.id,
  `hand-in:${againId ? `again-${againId}` : (exerciseId ?? 'new')}`,
  wordsSchema
)

// What was written before a reload or a lost line; the file is chosen again.
Object.assign(form, kept.read())
watch(form, () => kept.keep(form))
/** What the older version is, the new one is too: only what is new is asked. */
watch(earlier, old => {
  if (!old) return
  const { classId, title, medium, about, plannedScheme } = old
  Object.assign(form, { classId, title, medium, about, plannedScheme: plannedScheme ?? '' })
})
watch([classes, assignment], ([all, exercise]) => {
  if (againId) return
  form.classId ??= exercise?.classId ?? (exerciseId ? null : all?.[0]?.id) ?? null
  if (exercise && !kept.read()?.title)
    Object.assign(form, {
      stage: 'study',
      title: exerciseSet(exercise).title,
      plannedScheme: exercise.plan?.scheme ?? exerciseSet(exercise).plan ?? '',
      about: exercise.plan ? [exercise.plan.subject, exercise.plan.goal].filter(Boolean).join('. ') : form.about
    })
})

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

const noFile = ref(false)
watch(file, () => {
  noFile.value = false
})
async function send() {
  unsent.value = ''
  noFile.value = file.value === null
  if (!check() || !file.value) return
  busy.value = true
  const body = new FormData()
  for (const [name, value] of Object.entries({ ...form, assignmentId: exerciseId, earlierId: againId }))
    if (value !== null) body.append(name, String(value))
  body.append('picture', file.value)
  if (reference.value) body.append('reference', reference.value)
  if (focus.value) {
    body.append('focusX', String(focus.value.x))
    body.append('focusY', String(focus.value.y))
  }
  try {
    const { id } = await api(createdSchema, '/submissions', { method: 'POST', body })
    kept.drop()
    if (againId && corners.value)
      await api(z.object({}), `/submissions/${id}/over/${againId}/corners`, {
        method: 'PUT',
        body: { corners: corners.value }
      })
    await navigateTo(exerciseId ? `/exercises/${exerciseId}` : againId ? `/versions/${id}` : '/work')
  } catch (error) {
    unsent.value = messageOf(error)
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <div class="hand-in">
    <div>
      <LazyLaidOver v-if="file && earlier" v-model="corners" :file="file" :earlier="earlier" />
      <PictureDrop v-model="file" v-model:focus="focus" :brief="Boolean(againId)" />
      <p v-if="noFile" role="alert" class="problem">Choose the picture first.</p>
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
