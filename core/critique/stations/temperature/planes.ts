/** Do the marked planes step back in colour? */
import type { DepthLadder } from '../../../measure/value/depth'
import type { Reading } from '../../reading'
import { list } from '../../words'

const WHY =
  'What is far is seen through air: cooler, greyer, closer together in value.'
  + ' A far plane warmer or stronger than the near one comes forward.'

/** Null while not both the near and the far plane are marked. */
export function planesTemperatureReading({ steps: planes, farWarmer, farStronger }: DepthLadder): Reading | null {
  if (planes.length < 2 || farWarmer === null) return null
  const faults = [...(farWarmer ? ['warmer'] : []), ...(farStronger ? ['stronger in colour'] : [])]
  return {
    id: 'temperature.planes',
    station: 'temperature',
    verdict: faults.length ? 'look' : 'works',
    why: WHY,
    trains: [],
    sentence: faults.length
      ? `The far plane is ${list(faults)} than the near one: it comes forward.`
      : 'The far plane is cooler or as cool, and no stronger in colour: it stays back.',
    evidence: { name: 'temperature' }
  }
}
