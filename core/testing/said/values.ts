/** Sentences about values, each with when it is said. */
import { apart, value } from '../sections'
import { DEFAULT_STANDARDS as HOUSE } from '../../critique/standards'
import { greysReading } from '../../critique/stations/values/greys'
import { blackReading, groupsReading, keyReading, rangeReading } from '../../critique/stations/values/picture'
import { planesValueReading } from '../../critique/stations/values/planes'
import { referenceReading } from '../../critique/stations/values/reference'
import { separationReading } from '../../critique/stations/values/separation'
import { thumbnailReading } from '../../critique/stations/values/thumbnail'
import type { Said } from './said'

export const VALUES: readonly Said[] = [
  ['a full range', rangeReading(value({}), HOUSE)],
  ['a moderate range', rangeReading(value({ range: 60, darkest: 20, lightest: 80 }), HOUSE)],
  ['a range of exactly the moderate bound', rangeReading(value({ range: 49.6, darkest: 10, lightest: 59.6 }), HOUSE)],
  ['a range just under full', rangeReading(value({ range: 68, darkest: 10, lightest: 78 }), HOUSE)],
  [
    'a narrow range',
    rangeReading(value({ range: 20, darkest: 40, lightest: 60, thirds: { dark: 0, middle: 1, light: 0 } }), HOUSE)
  ],
  [
    'two values',
    groupsReading(
      value({
        groups: [
          { value: 12, share: 0.6 },
          { value: 80, share: 0.4 }
        ]
      })
    )
  ],
  ['five values', groupsReading(value({ groups: [10, 30, 50, 70, 90].map(v => ({ value: v, share: 0.2 })) }))],
  [
    'flat black',
    blackReading(
      value({ flatBlack: { share: 0.09, holes: 0.09, patches: [{ x: 0.2, y: 0.8, share: 0.09, hole: true }] } }),
      HOUSE
    )
  ],
  [
    'flat black in a night',
    blackReading(
      value({
        key: 'low',
        flatBlack: { share: 0.08, holes: 0.08, patches: [{ x: 0.2, y: 0.8, share: 0.08, hole: true }] }
      }),
      HOUSE
    )
  ],
  [
    'flat black in small places',
    blackReading(
      value({
        flatBlack: {
          share: 0.06,
          holes: 0.06,
          patches: [0.2, 0.5, 0.8].map(x => ({ x, y: 0.8, share: 0.02, hole: true }))
        }
      }),
      HOUSE
    )
  ],
  [
    'flat black that the darks lead into',
    blackReading(
      value({ flatBlack: { share: 0.09, holes: 0, patches: [{ x: 0.2, y: 0.8, share: 0.09, hole: false }] } }),
      HOUSE
    )
  ],
  ['a dark picture without it', blackReading(value({ thirds: { dark: 0.6, middle: 0.3, light: 0.1 } }), HOUSE)],
  ['a low key', keyReading(value({ key: 'low', thirds: { dark: 0.7, middle: 0.3, light: 0 } }), HOUSE)],
  ['a middle key', keyReading(value({}), HOUSE)],
  [
    'middle tones nearly everywhere',
    keyReading(value({ range: 60, thirds: { dark: 0.05, middle: 0.97, light: 0.01 } }), HOUSE)
  ],
  ['greys that part', greysReading([{ hex: '#ff0000', difference: -47, against: 'hsv', x: 0.8, y: 0.2, share: 0.1 }])],
  ['greys that agree', greysReading([{ hex: '#ff0000', difference: -5, against: 'hsv', x: 0.8, y: 0.2, share: 0.1 }])],
  ['detail that eats the picture', thumbnailReading({ kept: 0.4, focusHolds: null })],
  ['a picture that reads small', thumbnailReading({ kept: 0.95, focusHolds: true })],
  ['a focus lost when small', thumbnailReading({ kept: 0.8, focusHolds: false })],
  ['a stamp like any other', thumbnailReading({ kept: 0.8, focusHolds: null })],
  ['boats that merge', separationReading('the boats', apart(3, 4), HOUSE)],
  ['a boat held by colour alone', separationReading('the boat', apart(6, 40), HOUSE)],
  ['a boat that stands clear', separationReading('the boat', apart(30, 40), HOUSE)],
  [
    'planes out of order',
    planesValueReading({
      steps: [
        { name: 'near', value: 30, range: 0, temperature: 0, chroma: 0 },
        { name: 'middle', value: 80, range: 0, temperature: 0, chroma: 0 },
        { name: 'far', value: 60, range: 0, temperature: 0, chroma: 0 }
      ],
      inOrder: false,
      farWarmer: true,
      farStronger: true
    })
  ],
  ['a study too light', referenceReading(value({}), value({ darkest: 30, lightest: 96, median: 50 }))]
]
