/** Editing a critique: one change at a time, each kept as it is made, most to be taken back. */
import type { Critique } from '~~/shared/critique'
import { editsOfJudgement } from './judgement'
import { editsOfMarks } from './marks'
import { createSending } from './sending'
import { createSteps } from './steps'
import { editsOfVerdict } from './verdict'

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
