/** The temperature of a marked area against its scene. */
import type { AreaTemperature } from '../../../measure/temperature'
import type { Reading } from '../../reading'
import { capital } from '../../words'

const WHY =
  'Warm and cool exist only beside each other.'
  + ' A neutral grey is warm in a cool scene; what parts from the scene is seen first.'

/** Within this of its scene a colour has the scene's temperature. */
const SAME = 5

/** @param what the area's name, e.g. "the sky". */
export function areaTemperatureReading(what: string, { own, scene, ring, neutral }: AreaTemperature): Reading {
  const apart = own - scene,
    beside = own - ring
  const way = (t: number, of: string): string =>
    Math.abs(t) < SAME ? `as warm as ${of}` : `${Math.round(Math.abs(t))} ${t > 0 ? 'warmer' : 'cooler'} than ${of}`
  const relative =
    neutral && Math.abs(apart) >= SAME ? ` It is a grey, and reads ${apart > 0 ? 'warm' : 'cool'} here.` : ''
  return {
    id: 'temperature.area',
    station: 'temperature',
    verdict: 'works',
    why: WHY,
    trains: [],
    sentence: `${capital(what)} is ${way(apart, 'the scene')} and ${way(beside, 'what is around it')}.${relative}`,
    evidence: { name: 'relative-temperature' },
    correction: {
      what: `${capital(what)} is outside the scene's temperature.`,
      todo: apart > 0 ? 'Cool it toward the rest.' : 'Warm it toward the rest.',
      target:
        apart > 0
          ? { measure: 'temperature', atMost: Math.round(scene + SAME) }
          : { measure: 'temperature', atLeast: Math.round(scene - SAME) }
    }
  }
}
