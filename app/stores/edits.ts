/** Editing the critique that lies on the bench. */
import { createEdits } from '~/edits/edits'
import { useBenchStore } from './bench'

export const useEditsStore = defineStore('edits', () => {
  const bench = useBenchStore()
  return createEdits({ critique: () => bench.critique, refresh: bench.refreshCritique, path: bench.path })
})
