/** Do the marked planes step back, in value and in temperature? */
import type { DepthLadder } from '../../measure/depth'
import type { Reading } from '../reading'
import { list, steps } from '../words'

const WHY = {
  value: 'Planes part by value before anything else. A middle plane that is darker or lighter than both its neighbours jumps out of its place.',
  colour: 'What is far is seen through air: cooler, greyer, closer together in value. A far plane warmer or stronger than the near one comes forward.'
}
const NAMES = { near: 'near', middle: 'middle', far: 'far' } as const

/** Readings for both stations; none while fewer than two planes are marked. */
export function depthReadings({ steps: planes, inOrder, farWarmer, farStronger }: DepthLadder): Reading[] {
  if (planes.length < 2) return []
  const ladder = list(planes.map(p => `${NAMES[p.name]} ${steps(p.value)}`))
  const faults = [...(farWarmer ? ['warmer'] : []), ...(farStronger ? ['stronger in colour'] : [])]
  return [
    {
      id: 'value.planes', station: 'values', verdict: inOrder === false ? 'fix' : 'works', why: WHY.value, trains: [],
      sentence: inOrder === false ? `The middle plane is out of its place: ${ladder}.` : `The planes step back in value: ${ladder}.`, evidence: { name: 'grey' }
    },
    ...(farWarmer === null ? [] : [{
      id: 'temperature.planes', station: 'temperature', verdict: faults.length ? 'look' : 'works', why: WHY.colour, trains: [],
      sentence: faults.length ? `The far plane is ${list(faults)} than the near one: it comes forward.` : 'The far plane is cooler or as cool, and no stronger in colour: it stays back.',
      evidence: { name: 'temperature' }
    } satisfies Reading])
  ]
}
