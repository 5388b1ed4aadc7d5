/** The bench's shared state: the piece, its critique, where the instructor is and what is shown. */
import { submissionSchema, type Submission } from '~~/shared/submission'
import { critiqueSchema, FOCUS_NAME, type CorrectionDraft, type Critique, type MarkedArea } from '~~/shared/critique'
import type { Judged, Notes } from '~~/shared/notes'
import { DEFAULT_STANDARDS, type HouseStandards } from '~~/core/critique/standards'
import { nothingKnown, type PieceKnown } from '~~/core/critique/piece/known'
import type { PieceMeasures } from '~~/core/critique/piece/measure'
import { readingsOfPiece, type PieceReading } from '~~/core/critique/piece/readings'
import type { Reading, Station } from '~~/core/critique/reading'
import type { LensRequest } from '~~/core/lens/lens'
import type { Area } from '~~/core/picture/area'
import type { Report } from '~~/core/measure/report'
import type { WheelName } from '~~/core/wheel/steps'
import type { TriedArea } from '~/workers/protocol'
import { createDrawing } from './drawing'
import { createEdits } from './edits'

export const useBenchStore = defineStore('bench', () => {
  // Shallow, because these go to the worker as they are: a deep proxy cannot be sent.
  const submission = shallowRef<Submission | null>(null)
  const critique = shallowRef<Critique | null>(null)
  const station = ref<Station>('values')
  const lens = shallowRef<LensRequest>({ name: 'plain' })
  const comparing = ref(false)
  const draft = shallowRef<CorrectionDraft | null>(null)
  /** Counts the drafts begun: a new one is a new form, one marked elsewhere stays the same. */
  const drafts = ref(0)
  function begin(next: CorrectionDraft): void {
    drafts.value++
    draft.value = next
  }
  /** Trials shown on the picture: the one in hand, or those of the corrections being looked at. */
  const trials = shallowRef<readonly TriedArea[]>([])
  /** A slider is being moved: what is shown may be a few bytes off. */
  const sliding = ref(false)
  /** The correction whose trial is in hand, or all of them. */
  const trying = ref<number | 'all' | null>(null)
  /** What a demonstration is being painted with. */
  const brush = shallowRef<{ readonly hex: string, readonly width: number } | null>(null)
  /** The piece as the worker measured it, with what is known now; null while what the server measured still holds. */
  const measures = shallowRef<PieceMeasures | null>(null)
  /** A wheel looked through other than the class's. */
  const ownWheel = ref<WheelName | null>(null)
  /** Numbered places that the reading on show points at. */
  const points = shallowRef<Reading['points']>(undefined)
  /** An area shown filled, as its plain shape. */
  const silhouette = shallowRef<Area | null>(null)
  /** An area whose shape is being changed, as it is under the hand. */
  const reshaping = shallowRef<MarkedArea | null>(null)
  const drawing = createDrawing()
  const edits = createEdits({ critique, refresh: refreshCritique, path })

  const stored = computed(() => (submission.value?.measurement.state === 'done' ? submission.value.measurement.report : null))
  const report = computed<Report | null>(() => measures.value?.report ?? stored.value)
  const released = computed(() => critique.value?.state === 'released')
  const standards = computed<HouseStandards>(() => critique.value?.standards ?? DEFAULT_STANDARDS)
  const notes = computed<Notes>(() => critique.value!.notes)
  /** What is known of the piece beside its pixels. */
  const known = computed<PieceKnown>(() => {
    if (!critique.value || !submission.value) return nothingKnown(DEFAULT_STANDARDS.wheel)
    const { pairs, surroundings, stops, firstEye } = notes.value, drawn = critique.value.areas
    return {
      wheel: ownWheel.value ?? standards.value.wheel, plan: submission.value.plannedScheme, pairs, surroundings, stops, firstEye,
      focus: drawn.find(a => a.name === FOCUS_NAME)?.area ?? null, areas: drawn.filter(a => a.name !== FOCUS_NAME)
    }
  })
  /** Every sentence of the piece: as measured here, or as the server has them; a released critique keeps its own. */
  const readings = computed<readonly PieceReading[]>(() => (!critique.value ? []
    : measures.value && !released.value ? readingsOfPiece(measures.value, known.value, standards.value) : critique.value.readings))
  /** The area the piece is about, by its name. */
  const focusArea = computed(() => critique.value?.areas.find(a => a.name === FOCUS_NAME) ?? null)
  const areas = computed(() => (critique.value?.areas ?? []).map(a => (a.id === reshaping.value?.id ? reshaping.value : a)))
  const wall = useWallStore()
  /** Held, the plain picture is shown; with the reference under the work, that is, through the same lens. */
  const shownLens = computed<LensRequest>(() => (comparing.value && wall.reference !== 'under' ? { name: 'plain' } : lens.value))
  /** Before the first look is taken nothing measured and nothing marked is shown: it cannot be repeated. */
  const unseen = computed(() => station.value === 'first-look' && !released.value && !notes.value.firstEye)
  const judgementOf = (key: string): Judged['verdict'] | null => notes.value.judged.find(j => j.key === key)?.verdict ?? null

  function path(rest: string): string {
    return `/submissions/${submission.value!.id}${rest}`
  }
  async function open(id: number): Promise<void> {
    edits.problem.value = ''
    edits.conflict.value = null
    submission.value = await api(submissionSchema, `/submissions/${id}`)
    critique.value = await api(critiqueSchema, path('/critique'))
    measures.value = ownWheel.value = draft.value = reshaping.value = silhouette.value = null
    points.value = undefined
    trials.value = []
    trying.value = null
    lens.value = { name: 'plain' }
    drawing.drop()
    edits.history.clear()
  }
  async function refreshSubmission(): Promise<void> {
    submission.value = await api(submissionSchema, path(''))
  }
  async function refreshCritique(): Promise<void> {
    const on = path(''), fresh = await api(critiqueSchema, path('/critique'))
    // Another piece may have come to the bench meanwhile.
    if (path('') === on) critique.value = fresh
  }

  /** Being at a station is noted, and is nothing to take back. */
  async function visit(where: Station): Promise<void> {
    if (!released.value && !notes.value.visited.includes(where)) await edits.visit(where)
  }
  async function measureAgain(): Promise<void> {
    await edits.measureAgain()
    await refreshSubmission()
  }
  const { history, ...editing } = edits

  return {
    submission, critique, station, lens, comparing, draft, drafts, begin, trials, sliding, trying, brush, measures, ownWheel, known, points, silhouette, reshaping, focusArea, areas, report, released, standards, notes,
    readings, shownLens, unseen, tool: drawing.tool, sketch: drawing.sketch, marking: drawing.marking, canUndo: history.canUndo, canRedo: history.canRedo,
    open, refreshSubmission, refreshCritique, judgementOf, drawArea: drawing.area, drawMark: drawing.mark, pickPoint: drawing.point, finishDrawing: drawing.finish, drop: drawing.drop, undo: history.undo, redo: history.redo,
    ...editing, visit, measureAgain
  }
})
