/** Sentences about what the eye does, edges and composition, each with when it is said. */
import { boat, composed, edges, focus, none, peak } from '../sections'
import { DEFAULT_STANDARDS as HOUSE } from '../../critique/standards'
import { cutOutReading, silhouetteReading } from '../../critique/stations/edges/area'
import { fallOffReading, horizonReading, linesReading, symmetryReading } from '../../critique/stations/edges/picture'
import { firstLookReading } from '../../critique/stations/first-look/eye'
import { contrastReading, intendedReading, pathReading, whitesReading } from '../../critique/stations/focus/attention'
import { routeReading } from '../../critique/stations/focus/route'
import type { Said } from './said'

export const FOCUS_AND_EDGES: readonly Said[] = [
  [
    'one thing first',
    pathReading(focus({ peaks: [peak(0.2, 0.2), peak(0.8, 0.8, { strength: 0.5, named: 'navy' })] }))
  ],
  [
    'two things first',
    pathReading(focus({ peaks: [peak(0.2, 0.2), peak(0.8, 0.8, { strength: 0.95, named: 'navy' })] }))
  ],
  [
    'many things first',
    pathReading(
      focus({
        peaks: [
          [0.2, 0.2],
          [0.8, 0.8],
          [0.5, 0.5],
          [0.2, 0.8]
        ].map(([x, y]) => peak(x, y))
      })
    )
  ],
  ['a face', pathReading(focus({ peaks: [peak(0.2, 0.2, { known: 'the face' }), peak(0.8, 0.8)] }))],
  ['the eye where it should go', intendedReading(focus({ peaks: [peak(0.5, 0.5)], rank: 1, competitors: [] }))],
  [
    'the eye elsewhere',
    intendedReading(
      focus({ peaks: [peak(0.2, 0.2), peak(0.5, 0.5, { strength: 0.4 })], rank: 2, competitors: [peak(0.2, 0.2)] })
    )
  ],
  [
    'a shared first look',
    intendedReading(
      focus({ peaks: [peak(0.2, 0.2), peak(0.5, 0.5, { strength: 0.95 })], rank: 2, competitors: [peak(0.2, 0.2)] })
    )
  ],
  [
    'a focus without a peak',
    intendedReading(focus({ peaks: [peak(0.2, 0.2)], rank: none, competitors: [peak(0.2, 0.2)] }))
  ],
  ['contrast at the focus', contrastReading(focus({ contrast: 60, elsewhere: 70, standing: 0.94, rank: 2 }))],
  ['contrast elsewhere', contrastReading(focus({ contrast: 12, elsewhere: 70, standing: 0.3, rank: none }))],
  ['contrast like most', contrastReading(focus({ contrast: 30, elsewhere: 70, standing: 0.7, rank: none }))],
  ['one white', whitesReading(focus({ whites: [{ x: 0.5, y: 0.5, share: 0.01 }] }), null)],
  [
    'whites beside the focus',
    whitesReading(focus({ whites: [0.1, 0.2, 0.8, 0.9, 0.95].map(x => ({ x, y: 0.1, share: 0.01 })) }), boat)
  ],
  ['stops passed by', routeReading({ taken: [0, 2], skipped: [1], inOrder: true })],
  ['an eye of the critic’s', firstLookReading({ x: 0.5, y: 0.5 }, [peak(0.2, 0.2)], boat)],
  ['form drawn by line', linesReading(edges({ lineDependence: 0.5 }), HOUSE)],
  ['leaves', linesReading(edges({ lineDependence: 0.5, thinLights: 0.5 }), HOUSE)],
  ['a sharp focus', fallOffReading(edges({ sharpness: { focus: 0.8, near: none, rest: 0.6 } }))],
  ['a soft focus', fallOffReading(edges({ sharpness: { focus: 0.4, near: none, rest: 0.6 } }))],
  ['sharpness alike', fallOffReading(edges({ sharpness: { focus: 0.62, near: none, rest: 0.6 } }))],
  ['a picture that mirrors itself', symmetryReading(composed({ symmetryAcross: 0.9 }), HOUSE)],
  ['a halved picture', horizonReading(composed({ horizon: 0.5 }), HOUSE)],
  ['a low division', horizonReading(composed({ horizon: 0.7 }), HOUSE)],
  ['no division', horizonReading(composed({}), HOUSE)],
  ['a gull cut out', cutOutReading('the gull', { sharpness: 3, detail: 1, pasted: true }, HOUSE)],
  ['a gull that belongs', cutOutReading('the gull', { sharpness: 1.1, detail: 1, pasted: false }, HOUSE)],
  ['a lump', silhouetteReading('the gull', { solidity: 0.97, compactness: 0.9 })]
]
