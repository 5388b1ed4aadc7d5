/** The piece on the bench: what it is, its critique, the station, and every sentence of it. */
import { nothingKnown, type PieceKnown } from '~~/core/critique/piece/known'
import { firstOf } from '~~/core/critique/first'
import type { PieceMeasures } from '~~/core/critique/piece/measure'
import { DEFAULT_STANDARDS } from '~~/core/critique/standards'
import type { ReadingVerdict } from '~~/core/critique/reading'
import type { PieceReading } from '~~/core/critique/stations/piece'
import { readingsOfPiece } from '~~/core/critique/stations/readings'
import type { Station } from '~~/core/critique/stations/station'
import type { Report } from '~~/core/measure/report'
import type { WheelName } from '~~/core/wheel/steps'
import { critiqueSchema, FOCUS_NAME, type Critique } from '~~/shared/critique'
import type { Judged } from '~~/shared/notes'
import { submissionSchema, type Submission } from '~~/shared/pieces/submission'

interface Opened {
  readonly piece: Submission
  readonly critique: Critique
}

export const useBenchStore = defineStore('bench', () => {
  const opened = shallowRef<Opened | null>(null)
  /** @throws TypeError before a piece lies on the bench: what is set up there comes after it. */
  function given(): Opened {
    if (!opened.value) throw new TypeError('no piece lies on the bench')
    return opened.value
  }
  const piece = computed(() => given().piece),
    critique = computed(() => given().critique)
  const station = ref<Station>('values')
  /** The piece as the worker measured it, with what is known now; null while what the server measured still holds. */
  const measures = shallowRef<PieceMeasures | null>(null)
  /** A wheel looked through other than the class's. */
  const ownWheel = ref<WheelName | null>(null)

  const stored = computed(() => (piece.value.measurement.state === 'done' ? piece.value.measurement.report : null))
  const report = computed<Report | null>(() => measures.value?.report ?? (opened.value && stored.value))
  const released = computed(() => critique.value.state === 'released')
  /** What may be done here by whoever looks: an assistant drafts, an archived class is read. */
  const mayRelease = computed(() => piece.value.may.includes('release'))
  const closed = computed(() => released.value || !piece.value.may.includes('draft'))
  const standards = computed(() => opened.value?.critique.standards ?? DEFAULT_STANDARDS)
  const notes = computed(() => critique.value.notes)
  /** What is known of the piece beside its pixels. */
  const known = computed<PieceKnown>(() => {
    if (!opened.value) return nothingKnown(DEFAULT_STANDARDS.wheel)
    const { pairs, surroundings, stops, firstEye, wholeFile, noFaces } = notes.value,
      { areas } = critique.value
    return {
      wheel: ownWheel.value ?? standards.value.wheel,
      plan: piece.value.plannedScheme,
      pairs,
      surroundings,
      stops,
      firstEye,
      wholeFile,
      noFaces,
      question: piece.value.question,
      about: notes.value.about || piece.value.about,
      stage: piece.value.stage,
      focus: areas.find(a => a.name === FOCUS_NAME)?.area ?? null,
      areas: areas.filter(a => a.name !== FOCUS_NAME)
    }
  })
  /** Every sentence of the piece: as measured here, or as the server has them; a released critique keeps its own. */
  const measured = computed<readonly PieceReading[]>(() => {
    if (!opened.value) return []
    if (!measures.value || released.value) return critique.value.readings
    return readingsOfPiece(measures.value, known.value, standards.value)
  })
  /** The same, with what is said first chosen by the critic's own verdicts, and nothing that was set aside. */
  const readings = computed<readonly PieceReading[]>(() => {
    if (released.value || !opened.value) return measured.value
    const firsts = firstOf(
      measured.value.flatMap(r => {
        const own = judgementOf(r.key)
        return own === 'dismissed' ? [] : [{ ...r, verdict: own ?? r.verdict }]
      }),
      known.value
    )
    return measured.value.map(({ first: _, ...r }) => (firsts.has(r.key) ? { ...r, first: firsts.get(r.key) } : r))
  })
  /** The area the piece is about, by its name. */
  const focusArea = computed(() => critique.value.areas.find(a => a.name === FOCUS_NAME) ?? null)
  /** Before the first look is taken nothing measured and nothing marked is shown: it cannot be repeated. */
  const unseen = computed(() => station.value === 'first-look' && !released.value && !notes.value.firstEye)
  const judgementOf = (key: string): Judged['verdict'] | null =>
    notes.value.judged.find(j => j.key === key)?.verdict ?? null

  /** The critic's verdict on a reading, or its own. */
  const verdictOf = ({ key, verdict }: PieceReading): ReadingVerdict => {
    const own = judgementOf(key)
    return own && own !== 'dismissed' ? own : verdict
  }

  const path = (rest: string): string => `/submissions/${piece.value.id}${rest}`
  const fetchPiece = (id: number): Promise<Submission> => api(submissionSchema, `/submissions/${id}`)
  const fetchCritique = (id: number): Promise<Critique> => api(critiqueSchema, `/submissions/${id}/critique`)

  async function open(id: number): Promise<void> {
    const [next, its] = await Promise.all([fetchPiece(id), fetchCritique(id)])
    measures.value = ownWheel.value = null
    opened.value = { piece: next, critique: its }
  }
  /** As another window tells it. */
  function show(told: Opened): void {
    measures.value = ownWheel.value = null
    opened.value = told
  }
  /** What was fetched anew; another piece may have come to the bench meanwhile. */
  function take(id: number, fresh: Partial<Opened>): void {
    if (piece.value.id === id) opened.value = { ...given(), ...fresh }
  }
  async function refreshPiece(): Promise<void> {
    const { id } = piece.value
    take(id, { piece: await fetchPiece(id) })
  }
  async function refreshCritique(): Promise<void> {
    const { id } = piece.value
    take(id, { critique: await fetchCritique(id) })
  }

  return {
    piece,
    critique,
    station,
    measures,
    ownWheel,
    known,
    report,
    released,
    mayRelease,
    closed,
    standards,
    notes,
    readings,
    focusArea,
    unseen,
    judgementOf,
    verdictOf,
    path,
    open,
    show,
    refreshPiece,
    refreshCritique
  }
})
