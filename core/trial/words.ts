/** What an operation is called, as the critic and the learner read it. */
import { stepAt } from '../wheel/wheel'
import { stepWords } from '../critique/words'
import type { TrialOperation } from './trial'

export function describeOperation(operation: TrialOperation): string {
  switch (operation.kind) {
    case 'value': return `${Math.abs(Math.round(operation.by))} steps ${operation.by < 0 ? 'darker' : 'lighter'}`
    case 'range': return operation.times < 1 ? `values brought together to ${Math.round(100 * operation.times)} %` : `values spread to ${Math.round(100 * operation.times)} %`
    case 'temperature': return `${Math.abs(Math.round(operation.by))} ${operation.by < 0 ? 'cooler' : 'warmer'}`
    case 'chroma': return operation.times < 1 ? `muted to ${Math.round(100 * operation.times)} %` : `enriched to ${Math.round(100 * operation.times)} %`
    case 'hue': return `turned toward ${stepWords(stepAt(operation.wheel, operation.position))}`
    case 'light': return 'taken to the light of the others'
    case 'edges': return operation.by < 0 ? 'softer' : 'sharper'
    case 'black': return `black mixed as ${operation.hex}`
  }
}
