/** What is handed in: a new piece, an answer to an exercise, or a new version; kept in the browser until it is sent. */
import { z } from 'zod'
import { keptWords } from '~/utils/kept'
import { exerciseSet } from '~~/core/exercise'
import type { Point } from '~~/core/numeric/homography'
import type { PhotoSteps } from '~~/core/photo/steps'
import { assignmentSchema } from '~~/shared/exercises/assignment'
import { classListSchema } from '~~/shared/class'
import { keptStudyListSchema } from '~~/shared/pieces/study'
import { createdSchema, handInSchema, stageSchema, submissionSchema, type Stage } from '~~/shared/pieces/submission'

const wordsSchema = z.object({
  title: z.string(),
  stage: stageSchema,
  medium: z.string(),
  question: z.string(),
  about: z.string(),
  plannedScheme: z.string()
})

/** @param exerciseId that it answers. @param againId of the version before it. */
export function useHandIn(exerciseId: number | null, againId: number | null) {
  const { data: earlier, problem: noEarlier } = useApiData(submissionSchema, againId ? `/submissions/${againId}` : null)
  const { data: allClasses, problem: noClasses } = useApiData(classListSchema, '/classes')
  const classes = computed(() => allClasses.value?.filter(c => c.role === 'learner' && !c.archived) ?? null)
  const { data: assignment, problem: noExercise } = useApiData(
    assignmentSchema,
    exerciseId === null ? null : `/assignments/${exerciseId}`
  )
  const { data: studies } = useApiData(keptStudyListSchema, '/studies')
  const focus = ref<{ x: number; y: number } | null>(null),
    file = ref<File | null>(null),
    reference = ref<File | null>(null),
    /** What is done to it where it is a photograph of a sheet, and what that makes of it. */
    steps = shallowRef<PhotoSteps | null>(null),
    laidFlat = shallowRef<Blob | null>(null),
    /** Where the older version lies in the new one, when that was set by hand. */
    corners = shallowRef<readonly Point[] | null>(null),
    /** Studies that led to it: all there are, unless some are left out. */
    ledTo = ref<number[]>([])
  const form = reactive({
    classId: null as number | null,
    title: '',
    stage: 'finished' as Stage,
    medium: '',
    question: '',
    about: '',
    plannedScheme: ''
  })
  /** Of this very hand-in: a second press after a lost answer hands in no second piece. Anything changed is another. */
  let key = ''
  const unsent = ref(''),
    busy = ref(false),
    noFile = ref(false),
    problem = computed(() => unsent.value || noClasses.value || noExercise.value || noEarlier.value)
  const { wrong, check } = useCheckedForm(handInSchema, () => ({
    ...form,
    assignmentId: exerciseId,
    earlierId: againId ?? undefined
  }))
  const kept = keptWords(
    useSessionStore().person.id,
    `hand-in:${againId ? `again-${againId}` : (exerciseId ?? 'new')}`,
    wordsSchema
  )

  // What was written before a reload or a lost line; the file is chosen again.
  Object.assign(form, kept.read())
  watch(form, () => kept.keep(form))
  watch([form, file, steps, reference, focus, ledTo], () => (key = ''), { deep: true, flush: 'sync' })
  watch(studies, all => (ledTo.value = all?.map(s => s.id) ?? []))
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
  watch(file, () => {
    noFile.value = false
  })

  function bodyOf(picture: File): FormData {
    key ||= newKey()
    const body = new FormData(),
      words = { ...form, key, assignmentId: exerciseId, earlierId: againId, studies: ledTo.value.join(',') }
    for (const [name, value] of Object.entries(words)) if (value !== null) body.append(name, String(value))
    body.append('picture', picture)
    if (steps.value) body.append('steps', JSON.stringify(steps.value))
    if (reference.value) body.append('reference', reference.value)
    if (focus.value) {
      body.append('focusX', String(focus.value.x))
      body.append('focusY', String(focus.value.y))
    }
    return body
  }
  async function send() {
    unsent.value = ''
    noFile.value = file.value === null
    if (!check() || !file.value) return
    busy.value = true
    try {
      const { id } = await api(createdSchema, '/submissions', { method: 'POST', body: bodyOf(file.value) })
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
  return {
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
  }
}
