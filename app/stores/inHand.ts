/** What is in the critic's hand: one reading, one correction, or one being put in words. */
import type { PieceReading } from '~~/core/critique/stations/piece'
import type { CorrectionWritten } from '~~/shared/critique'

export const useInHandStore = defineStore('in-hand', () => {
  const correction = shallowRef<CorrectionWritten | null>(null)
  /** Counts those begun: a new one is a new form, one marked elsewhere stays the same. */
  const begun = ref(0)
  function begin(next: CorrectionWritten): void {
    begun.value++
    correction.value = next
  }
  /** The correction that is looked at beside the picture, by its id. */
  const sheet = ref<number | null>(null)
  /** The reading in hand, by its key: its evidence is on the picture, and what can be done with it stands at it. */
  const reading = ref<string | null>(null)
  const sight = useSightStore()
  function put(): void {
    reading.value = null
    sight.silhouette = null
    sight.points = undefined
    sight.lens = { name: 'plain' }
  }
  function take(next: PieceReading): void {
    sheet.value = null
    reading.value = next.key
    sight.silhouette = next.silhouette ? next.area : null
    sight.points = next.points
    sight.lens = next.evidence ?? { name: 'plain' }
  }
  /** One thing in hand: the reading is put down. */
  function look(id: number): void {
    if (reading.value) put()
    sheet.value = sheet.value === id ? null : id
  }
  return { correction, begun, begin, sheet, look, reading, take, put }
})
