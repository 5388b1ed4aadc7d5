/** What of the piece is in sight on the wall: through which lens, with which places, trials and shapes on it. */
import type { Reading } from '~~/core/critique/reading'
import type { LensRequest } from '~~/core/lens/lens'
import type { Area } from '~~/core/picture/area'
import type { MarkedArea } from '~~/shared/critique'
import type { TriedArea } from '~/workers/protocol'

const PLAIN: LensRequest = { name: 'plain' }

export const useSightStore = defineStore('sight', () => {
  // Shallow, because these go to the worker as they are: a deep proxy cannot be sent.
  const lens = shallowRef<LensRequest>(PLAIN)
  /** The plain picture is held up against the lens. */
  const comparing = ref(false)
  /** Trials shown on the picture: the one in hand, or those of the corrections being looked at. */
  const trials = shallowRef<readonly TriedArea[]>([])
  /** A slider is being moved: what is shown may be a few bytes off. */
  const sliding = ref(false)
  /** The correction whose trial is in hand, or all of them. */
  const trying = ref<number | 'all' | null>(null)
  /** What a demonstration is being painted with. */
  const brush = shallowRef<{ readonly hex: string; readonly width: number } | null>(null)
  /** Numbered places that the reading on show points at. */
  const points = shallowRef<Reading['points']>(undefined)
  /** An area shown filled, as its plain shape. */
  const silhouette = shallowRef<Area | null>(null)
  /** An area whose shape is being changed, as it is under the hand. */
  const reshaping = shallowRef<MarkedArea | null>(null)
  const wall = useWallStore()
  /** Held, the plain picture is shown; with the reference under the work, that is, through the same lens. */
  const shownLens = computed<LensRequest>(() => (comparing.value && wall.reference !== 'under' ? PLAIN : lens.value))

  /** The picture as it is, with nothing on it. */
  function clear(): void {
    lens.value = PLAIN
    points.value = undefined
    trying.value = reshaping.value = silhouette.value = null
  }
  return { lens, comparing, trials, sliding, trying, brush, points, silhouette, reshaping, shownLens, clear }
})
