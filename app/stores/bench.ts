/** The bench's shared state: the piece, its critique, where the instructor is and what is shown. */
import { z } from 'zod'
import { createdSchema, submissionSchema, type Submission } from '~~/shared/submission'
import { critiqueSchema, FOCUS_NAME, revisionSchema, type Correction, type CorrectionDraft, type Critique, type MarkedArea } from '~~/shared/critique'
import type { Judged, Notes, NotesChange } from '~~/shared/notes'
import type { Scored } from '~~/shared/score'
import { DEFAULT_STANDARDS, type HouseStandards } from '~~/core/critique/standards'
import { readingsOf, type DeclaredFit } from '~~/core/critique/readings'
import { STATION_LETTER, type Reading, type Station } from '~~/core/critique/reading'
import type { LensRequest } from '~~/core/lens/lens'
import type { Area } from '~~/core/picture/area'
import type { HarmonySection, Measured, Report } from '~~/core/measure/report'
import type { WheelName } from '~~/core/wheel/steps'
import type { FocusedSections, TriedArea } from '~/workers/protocol'
import { createDrawing } from './drawing'
import { createHistory, type Step } from './history'

export type Saving = 'saved' | 'saving' | 'unsaved'

export const tagOf = (correction: Pick<Correction, 'station' | 'order'>): string => `${STATION_LETTER[correction.station]}${correction.order}`

const none = z.object({})

export const useBenchStore = defineStore('bench', () => {
  // Shallow, because these go to the worker as they are: a deep proxy cannot be sent.
  const submission = shallowRef<Submission | null>(null)
  const critique = shallowRef<Critique | null>(null)
  const station = ref<Station>('values')
  const lens = shallowRef<LensRequest>({ name: 'plain' })
  const comparing = ref(false)
  const draft = shallowRef<CorrectionDraft | null>(null)
  /** Trials shown on the picture: the one in hand, or those of the corrections being looked at. */
  const trials = shallowRef<readonly TriedArea[]>([])
  /** A slider is being moved: what is shown may be a few bytes off. */
  const sliding = ref(false)
  /** The correction whose trial is in hand. */
  const trying = ref<number | null>(null)
  const declared = shallowRef<DeclaredFit | null>(null)
  /** Sections of the report measured again: with the intended focus, or on another wheel than it was stored with. */
  const focused = shallowRef<FocusedSections | null>(null)
  const otherWheel = shallowRef<{ wheel: WheelName, harmony: Measured<HarmonySection> } | null>(null)
  /** Numbered places that the reading on show points at. */
  const points = shallowRef<Reading['points']>(undefined)
  /** An area shown filled, as its plain shape. */
  const silhouette = shallowRef<Area | null>(null)
  /** An area whose shape is being changed, as it is under the hand. */
  const reshaping = shallowRef<MarkedArea | null>(null)
  const saving = ref<Saving>('saved')
  const problem = ref('')
  const drawing = createDrawing()
  const history = createHistory(keep)

  const stored = computed(() => (submission.value?.measurement.state === 'done' ? submission.value.measurement.report : null))
  const report = computed<Report | null>(() => stored.value && { ...stored.value, ...focused.value, ...otherWheel.value })
  const released = computed(() => critique.value?.state === 'released')
  const standards = computed<HouseStandards>(() => critique.value?.standards ?? DEFAULT_STANDARDS)
  const notes = computed<Notes>(() => critique.value!.notes)
  const readings = computed<Reading[]>(() => (report.value ? readingsOf(report.value, { standards: standards.value, declared: declared.value }) : []))
  /** The area the piece is about, by its name. */
  const focusArea = computed(() => critique.value?.areas.find(a => a.name === FOCUS_NAME) ?? null)
  const areas = computed(() => (critique.value?.areas ?? []).map(a => (a.id === reshaping.value?.id ? reshaping.value : a)))
  const wall = useWallStore()
  /** Held, the plain picture is shown; with the reference under the work, that is, through the same lens. */
  const shownLens = computed<LensRequest>(() => (comparing.value && wall.reference !== 'under' ? { name: 'plain' } : lens.value))
  /** Before the first look is taken nothing measured and nothing marked is shown: it cannot be repeated. */
  const unseen = computed(() => station.value === 'first-look' && !released.value && !notes.value.firstEye)
  const judgementOf = (key: string): Judged['verdict'] | null => notes.value.judged.find(j => j.key === key)?.verdict ?? null

  const path = (rest: string): string => `/submissions/${submission.value!.id}${rest}`

  async function open(id: number): Promise<void> {
    problem.value = ''
    submission.value = await api(submissionSchema, `/submissions/${id}`)
    critique.value = await api(critiqueSchema, path('/critique'))
    declared.value = focused.value = otherWheel.value = draft.value = reshaping.value = silhouette.value = null
    points.value = undefined
    trials.value = []
    trying.value = null
    lens.value = { name: 'plain' }
    drawing.drop()
    history.clear()
  }
  async function refreshSubmission(): Promise<void> {
    submission.value = await api(submissionSchema, path(''))
  }
  async function refreshCritique(): Promise<void> {
    critique.value = await api(critiqueSchema, path('/critique'))
  }

  /** Runs a change and shows that it is kept; what fails stays on screen with its reason. */
  async function keep<T>(change: () => Promise<T>): Promise<T | null> {
    saving.value = 'saving'
    try {
      const result = await change()
      await refreshCritique()
      saving.value = 'saved'
      problem.value = ''
      return result
    } catch (error) {
      saving.value = 'unsaved'
      problem.value = messageOf(error)
      return null
    }
  }
  /** A change that can be taken back. */
  async function step<T>(change: { readonly redo: () => Promise<T>, readonly undo: () => Promise<unknown> }): Promise<T | null> {
    const result = await keep(change.redo)
    if (result !== null) history.done(change satisfies Step)
    return result
  }
  const send = (method: 'PUT' | 'DELETE', rest: string, body?: unknown) => api(none, path(rest), { method, body })

  /** Something new, which redo makes again under another id. */
  function create(rest: string, body: unknown): Promise<number | null> {
    let id = 0
    return step({ redo: async () => (id = (await api(createdSchema, path(rest), { method: 'POST', body })).id), undo: () => send('DELETE', `${rest}/${id}`) })
  }
  function remove(rest: string, id: number, body: unknown): Promise<unknown> {
    let current = id
    return step({ redo: () => send('DELETE', `${rest}/${current}`), undo: async () => { current = (await api(createdSchema, path(rest), { method: 'POST', body })).id } })
  }
  const addArea = (name: string, area: Area) => create('/areas', { name, area })
  const removeArea = ({ id, name, area }: MarkedArea) => remove('/areas', id, { name, area })
  const changeArea = (id: number, next: { name: string, area: Area }) => {
    const { name, area } = critique.value!.areas.find(a => a.id === id)!
    return step({ redo: () => send('PUT', `/areas/${id}`, next), undo: () => send('PUT', `/areas/${id}`, { name, area }) })
  }
  const addCorrection = (input: CorrectionDraft) => create('/corrections', input)
  const removeCorrection = ({ id, ...input }: Correction) => remove('/corrections', id, input)
  const changeCorrection = (id: number, input: CorrectionDraft) => {
    const before = critique.value!.corrections.find(c => c.id === id)!
    return step({ redo: () => send('PUT', `/corrections/${id}`, input), undo: () => send('PUT', `/corrections/${id}`, before) })
  }
  const orderCorrections = (order: number[]) => {
    const before = critique.value!.corrections.map(c => c.id)
    return step({ redo: () => send('PUT', '/corrections/order', { order }), undo: () => send('PUT', '/corrections/order', { order: before }) })
  }
  const note = (change: NotesChange) => {
    const before = Object.fromEntries(Object.keys(change).map(name => [name, notes.value[name as keyof Notes]]))
    return step({ redo: () => send('PUT', '/notes', change), undo: () => send('PUT', '/notes', before) })
  }
  /** Being at a station is noted, and is nothing to take back. */
  async function visit(where: Station): Promise<void> {
    if (!released.value && !notes.value.visited.includes(where)) await keep(() => send('PUT', '/notes', { visited: [...notes.value.visited, where] }))
  }
  /** Changes the verdict on a reading, or with null returns to the measured one. */
  const judge = (key: string, verdict: Judged['verdict'] | null) => {
    const others = notes.value.judged.filter(j => j.key !== key)
    return note({ judged: verdict === null ? others : [...others, { key, verdict }] })
  }
  /** The score as a whole; null for words only. */
  const score = (next: Scored | null) => {
    const before = critique.value!.score
    return step({ redo: () => send('PUT', '/score', next), undo: () => send('PUT', '/score', before) })
  }
  const assign = (exercise: string, dueOn: string) => keep(() => send('PUT', '/assignment', { exercise, dueOn }))
  const unassign = () => keep(() => send('DELETE', '/assignment'))
  const writeVerdict = (works: string, verdict: string) =>
    keep(() => api(revisionSchema, path('/verdict'), { method: 'PUT', body: { works, verdict, revision: critique.value!.revision } }))
  const release = (note: string) => keep(() => api(none, path('/release'), { method: 'POST', body: { note } }))
  const withdraw = () => keep(() => api(none, path('/withdraw'), { method: 'POST' }))
  const answer = (text: string) => keep(() => send('PUT', '/answer', { answer: text }))
  async function measureAgain(): Promise<void> {
    await keep(() => api(none, path('/measure'), { method: 'POST' }))
    await refreshSubmission()
  }

  return {
    submission, critique, station, lens, comparing, draft, trials, sliding, trying, declared, focused, otherWheel, points, silhouette, reshaping, focusArea, areas, saving, problem, report, released, standards, notes,
    readings, shownLens, unseen, tool: drawing.tool, sketch: drawing.sketch, canUndo: history.canUndo, canRedo: history.canRedo,
    open, refreshSubmission, refreshCritique, judgementOf, drawArea: drawing.area, pickPoint: drawing.point, finishDrawing: drawing.finish, drop: drawing.drop, undo: history.undo, redo: history.redo,
    addArea, removeArea, changeArea, addCorrection, changeCorrection, removeCorrection, orderCorrections, note, visit, judge, score, assign, unassign, writeVerdict, release, withdraw, answer, measureAgain
  }
})
