/** Readings of a marked figure at the temperature and the edges station. */
import type { CutOut } from '../../measure/edges'
import type { Silhouette } from '../../measure/composition'
import type { AreaTemperature } from '../../measure/temperature'
import type { Reading } from '../reading'
import type { HouseStandards } from '../standards'
import { capital, percent } from '../words'

const WHY = {
  temperature: 'Warm and cool exist only beside each other. A neutral grey is warm in a cool scene; what parts from the scene is seen first.',
  cutout: 'A figure whose edges are all sharper than anything around it looks cut out and pasted on. Some of its edges should be lost.',
  silhouette: 'A figure is known by its plain shape before anything inside it is seen. Filled with one tone, it should still be itself.'
}

/** Within this of its scene a colour has the scene's temperature. */
const SAME = 5

/** @param what the area's name, e.g. "the sky". */
export function areaTemperatureReading(what: string, { own, scene, ring, neutral }: AreaTemperature): Reading {
  const apart = own - scene, beside = own - ring
  const way = (t: number, of: string): string => (Math.abs(t) < SAME ? `as warm as ${of}` : `${Math.round(Math.abs(t))} ${t > 0 ? 'warmer' : 'cooler'} than ${of}`)
  const relative = neutral && Math.abs(apart) >= SAME ? ` It is a grey, and reads ${apart > 0 ? 'warm' : 'cool'} here.` : ''
  return {
    id: 'temperature.area', station: 'temperature', verdict: 'works', why: WHY.temperature, trains: [],
    sentence: `${capital(what)} is ${way(apart, 'the scene')} and ${way(beside, 'what is around it')}.${relative}`,
    evidence: { name: 'relative-temperature' },
    correction: {
      what: `${capital(what)} is outside the scene's temperature.`, todo: apart > 0 ? 'Cool it toward the rest.' : 'Warm it toward the rest.',
      target: apart > 0 ? { measure: 'temperature', atMost: Math.round(scene + SAME) } : { measure: 'temperature', atLeast: Math.round(scene - SAME) }
    }
  }
}

export function cutOutReading(what: string, { sharpness, detail }: CutOut, { cutout }: HouseStandards): Reading {
  const most = Math.max(sharpness, detail), pasted = most > cutout
  const how = sharpness >= detail ? 'sharper' : 'busier'
  return {
    id: 'edges.cutout', station: 'edges', verdict: pasted ? 'fix' : 'works', why: WHY.cutout, trains: [],
    sentence: pasted ? `${capital(what)} looks cut out: ${most.toFixed(1)} times ${how} than what is around it.`
      : `${capital(what)} belongs to its surroundings: ${most.toFixed(1)} times as ${how === 'sharper' ? 'sharp' : 'busy'} as they are.`,
    figure: { value: most, standard: cutout, low: 0, high: Math.max(5, most), label: `${most.toFixed(1)} times ${how} than around, at most ${cutout} wanted` },
    evidence: { name: 'edges' }
  }
}

export function silhouetteReading(what: string, { solidity, compactness }: Silhouette): Reading {
  const plain = compactness > 0.7 && solidity > 0.9
  return {
    id: 'edges.silhouette', station: 'edges', verdict: plain ? 'look' : 'works', why: WHY.silhouette, trains: [], silhouette: true,
    sentence: plain ? `Filled in, ${what} is a plain lump: ${percent(solidity)} of its hull, nearly round or square.` : `Filled in, ${what} keeps a shape of its own: it fills ${percent(solidity)} of its hull.`
  }
}
