/** Readings of a marked figure: does it belong to its surroundings, and is its shape its own? */
import type { CutOut } from '../../../measure/composition/edges'
import type { Silhouette } from '../../../measure/composition/composition'
import type { Reading } from '../../reading'
import type { HouseStandards } from '../../standards'
import { capital, isPlural, percent } from '../../words'

const WHY = {
  cutout:
    'A figure whose edges are all sharper than anything around it looks cut out and pasted on.'
    + ' Some of its edges should be lost.',
  silhouette:
    'A figure is known by its plain shape before anything inside it is seen.'
    + ' Filled with one tone, it should still be itself.'
}

export function cutOutReading(what: string, { sharpness, detail }: CutOut, { cutout }: HouseStandards): Reading {
  const most = Math.max(sharpness, detail),
    pasted = most > cutout
  const how = sharpness >= detail ? 'sharper' : 'busier'
  return {
    id: 'edges.cutout',
    station: 'edges',
    verdict: pasted ? 'fix' : 'works',
    why: WHY.cutout,
    trains: [],
    sentence: pasted
      ? `${capital(what)} looks cut out: ${most.toFixed(1)} times ${how} than what is around it.`
      : `${capital(what)} belongs to its surroundings:`
        + ` ${most.toFixed(1)} times as ${how === 'sharper' ? 'sharp' : 'busy'} as they are.`,
    figure: {
      unit: 'times',
      value: most,
      standard: cutout,
      low: 0,
      high: Math.max(5, most),
      label: `${most.toFixed(1)} times ${how} than around, at most ${cutout} wanted`
    },
    evidence: { name: 'edges' },
    ...(pasted
      ? {
          weight: 0.6,
          correction: {
            what: `${capital(what)} ${isPlural(what) ? 'look' : 'looks'} cut out.`,
            todo: 'Lose some of its edges into what lies behind, most of all on the shadow side.',
            target: null
          }
        }
      : {})
  }
}

export function silhouetteReading(what: string, { solidity, compactness }: Silhouette): Reading {
  const plain = compactness > 0.7 && solidity > 0.9
  return {
    id: 'edges.silhouette',
    station: 'edges',
    verdict: plain ? 'look' : 'works',
    why: WHY.silhouette,
    trains: [],
    silhouette: true,
    sentence: plain
      ? `Filled in, ${what} is a plain lump: ${percent(solidity)} of its hull, nearly round or square.`
      : `Filled in, ${what} keeps a shape of its own: it fills ${percent(solidity)} of its hull.`
  }
}
