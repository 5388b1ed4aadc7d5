/** The bench's shared state: the piece, its critique, where the instructor is and what is shown. */
import { z } from 'zod'
import { createdSchema, submissionSchema, type Submission } from '~~/shared/submission'
import { critiqueSchema, FOCUS_NAME, revisionSchema, type Correction, type CorrectionInput, type Critique } from '~~/shared/critique'
import { DEFAULT_STANDARDS } from '~~/core/critique/standards'
import { readingsOf, type DeclaredFit } from '~~/core/critique/readings'
import { STATION_LETTER, type Reading, type Station } from '~~/core/critique/reading'
import type { LensRequest } from '~~/core/lens/lens'
import type { Area } from '~~/core/picture/area'
import type { FocusedSections } from '~/workers/protocol'

export type Saving = 'saved' | 'saving' | 'unsaved'

export const tagOf = (correction: Pick<Correction, 'station' | 'order'>): string => `${STATION_LETTER[correction.station]}${correction.order}`

export const useBenchStore = defineStore('bench', () => {
  // Shallow, because these go to the worker as they are: a deep proxy cannot be sent.
  const submission = shallowRef<Submission | null>(null)
  const critique = shallowRef<Critique | null>(null)
  const station = ref<Station>('values')
  const lens = shallowRef<LensRequest>({ name: 'plain' })
  const comparing = ref(false)
  /** The area drawn last and not yet named. */
  const sketch = shallowRef<Area | null>(null)
  const drawing = ref(false)
  const draft = shallowRef<CorrectionInput | null>(null)
  const declared = ref<DeclaredFit | null>(null)
  /** Sections of the report measured again with the intended focus. */
  const focused = shallowRef<FocusedSections | null>(null)
  /** Numbered places that the reading on show points at. */
  const points = shallowRef<Reading['points']>(undefined)
  const saving = ref<Saving>('saved')
  const problem = ref('')

  const report = computed(() => (submission.value?.measurement.state === 'done' ? submission.value.measurement.report : null))
  const released = computed(() => critique.value?.state === 'released')
  const readings = computed<Reading[]>(() => (report.value ? readingsOf({ ...report.value, ...focused.value }, { standards: DEFAULT_STANDARDS, declared: declared.value }) : []))
  /** The area the piece is about, by its name. */
  const focusArea = computed(() => critique.value?.areas.find(a => a.name === FOCUS_NAME) ?? null)
  const shownLens = computed<LensRequest>(() => (comparing.value ? { name: 'plain' } : lens.value))

  const path = (rest: string): string => `/submissions/${submission.value!.id}${rest}`

  async function open(id: number): Promise<void> {
    problem.value = ''
    submission.value = await api(submissionSchema, `/submissions/${id}`)
    critique.value = await api(critiqueSchema, path('/critique'))
    declared.value = focused.value = null
    points.value = undefined
    lens.value = { name: 'plain' }
    sketch.value = draft.value = null
    drawing.value = false
  }
  async function refreshSubmission(): Promise<void> {
    submission.value = await api(submissionSchema, path(''))
  }

  /** Runs a change and shows that it is kept; what fails stays on screen with its reason. */
  async function keep<T>(change: () => Promise<T>): Promise<T | null> {
    saving.value = 'saving'
    try {
      const result = await change()
      critique.value = await api(critiqueSchema, path('/critique'))
      saving.value = 'saved'
      problem.value = ''
      return result
    } catch (error) {
      saving.value = 'unsaved'
      problem.value = messageOf(error)
      return null
    }
  }
  const none = z.object({})
  const addArea = (name: string, area: Area) => keep(() => api(createdSchema, path('/areas'), { method: 'POST', body: { name, area } }))
  const removeArea = (id: number) => keep(() => api(none, path(`/areas/${id}`), { method: 'DELETE' }))
  const addCorrection = (input: CorrectionInput) => keep(() => api(createdSchema, path('/corrections'), { method: 'POST', body: input }))
  const changeCorrection = (id: number, input: CorrectionInput) => keep(() => api(none, path(`/corrections/${id}`), { method: 'PUT', body: input }))
  const removeCorrection = (id: number) => keep(() => api(none, path(`/corrections/${id}`), { method: 'DELETE' }))
  const orderCorrections = (order: number[]) => keep(() => api(none, path('/corrections/order'), { method: 'PUT', body: { order } }))
  const assign = (exercise: string, dueOn: string) => keep(() => api(none, path('/assignment'), { method: 'PUT', body: { exercise, dueOn } }))
  const unassign = () => keep(() => api(none, path('/assignment'), { method: 'DELETE' }))
  const writeVerdict = (works: string, verdict: string) =>
    keep(() => api(revisionSchema, path('/verdict'), { method: 'PUT', body: { works, verdict, revision: critique.value!.revision } }))
  const release = () => keep(() => api(none, path('/release'), { method: 'POST' }))
  async function measureAgain(): Promise<void> {
    await keep(() => api(none, path('/measure'), { method: 'POST' }))
    await refreshSubmission()
  }

  return {
    submission, critique, station, lens, comparing, sketch, drawing, draft, declared, focused, points, focusArea, saving, problem, report, released, readings, shownLens,
    open, refreshSubmission, addArea, removeArea, addCorrection, changeCorrection, removeCorrection, orderCorrections, assign, unassign, writeVerdict, release, measureAgain
  }
})
