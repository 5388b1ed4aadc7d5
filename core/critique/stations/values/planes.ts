/** Do the marked planes step back in value? */
import type { DepthLadder } from '../../../measure/value/depth'
import type { Reading } from '../../reading'
import { list, steps } from '../../words'

const WHY =
  'Planes part by value before anything else.'
  + ' A middle plane that is darker or lighter than both its neighbours jumps out of its place.'

/** Null while fewer than two planes are marked. */
export function planesValueReading({ steps: planes, inOrder }: DepthLadder): Reading | null {
  if (planes.length < 2) return null
  const ladder = list(planes.map(p => `${p.name} ${steps(p.value)}`))
  return {
    id: 'value.planes',
    station: 'values',
    verdict: inOrder === false ? 'fix' : 'works',
    why: WHY,
    trains: [],
    sentence:
      inOrder === false
        ? `The middle plane is out of its place: ${ladder}.`
        : `The planes step back in value: ${ladder}.`,
    evidence: { name: 'grey' },
    ...(inOrder === false
      ? {
          weight: 0.6,
          correction: {
            what: 'The middle plane is out of its place.',
            todo: 'Bring its value between those of the near and the far plane.',
            target: null
          }
        }
      : {})
  }
}
