/** The correction that is being put in words. */
import type { CorrectionWritten } from '~~/shared/critique'

export const useInHandStore = defineStore('in-hand', () => {
  const correction = shallowRef<CorrectionWritten | null>(null)
  /** Counts those begun: a new one is a new form, one marked elsewhere stays the same. */
  const begun = ref(0)
  function begin(next: CorrectionWritten): void {
    begun.value++
    correction.value = next
  }
  return { correction, begun, begin }
})
