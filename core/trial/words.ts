/** What an operation is called, as the critic and the learner read it. */
import { stepAt } from '../wheel/wheel'
import { count, list, stepWords, wholePercent } from '../critique/words'
import type { Trial, TrialOperation } from './trial'

export function describeOperation(operation: TrialOperation): string {
  switch (operation.kind) {
    case 'value':
      return `${Math.abs(Math.round(operation.by))} steps ${operation.by < 0 ? 'darker' : 'lighter'}`
    case 'range':
      return operation.times < 1
        ? `values brought together to ${wholePercent(operation.times)}`
        : `values spread to ${wholePercent(operation.times)}`
    case 'temperature':
      return `${Math.abs(Math.round(operation.by))} ${operation.by < 0 ? 'cooler' : 'warmer'}`
    case 'chroma':
      return operation.times < 1
        ? `muted to ${wholePercent(operation.times)}`
        : `enriched to ${wholePercent(operation.times)}`
    case 'hue':
      return `turned toward ${stepWords(stepAt(operation.wheel, operation.position))}`
    case 'light':
      return 'taken to the light of the others'
    case 'edges':
      return operation.by < 0 ? 'softer' : 'sharper'
    case 'black':
      return `black mixed as ${operation.hex}`
  }
}

/** A whole trial in words, as it is shown: what is done, and where when it is not the area. */
export function describeTrial({ operations, strokes, outside }: Trial): string {
  const painted = strokes?.length
    ? [`painted over in ${count(strokes.length)} stroke${strokes.length === 1 ? '' : 's'}`]
    : []
  const where = outside && operations.length > 0 ? 'everything but the area ' : ''
  return `${where}${list([...operations.map(describeOperation), ...painted])}`
}
