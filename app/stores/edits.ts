/** Editing the critique on the bench: one change at a time, each kept as it is made, most to be taken back. */
import type { Critique } from '~~/shared/critique'
import { useBenchStore } from './bench'
import { editsOfJudgement } from './edits/judgement'
import { editsOfMarks } from './edits/marks'
import { createSending } from './edits/sending'
import { createSteps } from './edits/steps'
import { editsOfVerdict } from './edits/verdict'

export interface Edited {
  readonly critique: () => Critique
  readonly refresh: () => Promise<void>
  /** Path of the piece's own routes. */
  readonly path: (rest: string) => string
}

export function createEdits({ critique, refresh, path }: Edited) {
  const sending = createSending({ path, refresh }),
    steps = createSteps(sending)
  const { saving, problem, unanswered, conflict, theirs, history } = sending
  return {
    saving,
    problem,
    unanswered,
    conflict,
    theirs,
    canUndo: history.canUndo,
    canRedo: history.canRedo,
    undo: history.undo,
    redo: history.redo,
    /** Another piece comes to the bench: what was done to the last one can no longer be taken back here. */
    begin(): void {
      problem.value = ''
      conflict.value = null
      history.clear()
    },
    ...editsOfMarks(steps, critique),
    ...editsOfJudgement(sending, steps, critique),
    ...editsOfVerdict(sending, steps, critique)
  }
}

export const useEditsStore = defineStore('edits', () => {
  const bench = useBenchStore()
  return createEdits({ critique: () => bench.critique, refresh: bench.refreshCritique, path: bench.path })
})
