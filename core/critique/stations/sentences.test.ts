/**
 * Every sentence the core can say, with the condition it is said under: read aloud in one go. Each has its capital and its
 * stop, no bare "0 %", no number without its meaning, and none is said of a picture that gives no cause.
 */
import { expect, it } from 'vitest'
import {
  apart,
  boat,
  composed,
  edges,
  family,
  focus,
  harmony,
  light,
  none,
  peak,
  value,
  warm
} from '../../testing/sections'
import type { Reading } from '../reading'
import { DEFAULT_STANDARDS as HOUSE } from '../standards'
import { cutOutReading, silhouetteReading } from './edges/area'
import { fallOffReading, horizonReading, linesReading, symmetryReading } from './edges/picture'
import { firstLookReading } from './first-look/eye'
import { contrastReading, intendedReading, pathReading, whitesReading } from './focus/attention'
import { routeReading } from './focus/route'
import { proportionReading, saturationReading } from './harmony/amounts'
import { declaredReading } from './harmony/declared'
import { schemeReading } from './harmony/scheme'
import { ambientReading } from './light/ambient'
import { materialReadings } from './light/materials'
import { areaTemperatureReading } from './temperature/area'
import { balanceReading, darksReading, lightAndDarkReading } from './temperature/picture'
import { planesTemperatureReading } from './temperature/planes'
import { greysReading } from './values/greys'
import { blackReading, groupsReading, keyReading, rangeReading } from './values/picture'
import { planesValueReading } from './values/planes'
import { referenceReading } from './values/reference'
import { separationReading } from './values/separation'
import { thumbnailReading } from './values/thumbnail'

/** [when, what is said then]; null where nothing is. */
const SAID: readonly (readonly [when: string, reading: Reading | null])[] = [
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
        flatBlack: { share: 0.06, holes: 0.06, patches: [{ x: 0.2, y: 0.8, share: 0.06, hole: true }] }
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
  ['a study too light', referenceReading(value({}), value({ darkest: 30, lightest: 96, median: 50 }))],
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
  ['warm lights, cool darks', lightAndDarkReading(warm({ lights: 12, darks: -9, lightMinusDark: 21 }), HOUSE)],
  ['all warm, the lights more', lightAndDarkReading(warm({ lights: 30, darks: 12, lightMinusDark: 18 }), HOUSE)],
  ['lights and darks alike', lightAndDarkReading(warm({ lights: 3, darks: 2, lightMinusDark: 1 }), HOUSE)],
  ['a grey picture', lightAndDarkReading(warm({ neither: 0.96, lights: 12, darks: -9, lightMinusDark: 21 }), HOUSE)],
  ['a picture that leans', balanceReading(warm({ mean: 20, warm: 0.9, cool: 0.04, neither: 0.06 }))],
  ['one that does not', balanceReading(warm({ mean: 1 }))],
  ['warm darks', darksReading(warm({ darkest: 14 }), value({}))],
  ['darks of no colour', darksReading(warm({ darkest: 2 }), value({}))],
  [
    'a far plane that comes forward',
    planesTemperatureReading({
      steps: [
        { name: 'near', value: 30, range: 0, temperature: 0, chroma: 0 },
        { name: 'far', value: 60, range: 0, temperature: 20, chroma: 0 }
      ],
      inOrder: null,
      farWarmer: true,
      farStronger: false
    })
  ],
  ['a wall in a cool scene', areaTemperatureReading('the wall', { own: 0, scene: -22, ring: -30, neutral: true })],
  ['opposites', schemeReading(harmony({}), 'painter', HOUSE)],
  [
    'neighbours with a small accent',
    schemeReading(
      harmony({
        scheme: { name: 'analogous', rotation: 240, coverage: 0.97, sectors: [0.97] },
        families: [
          family('green', 240, { weight: 0.96 }),
          family('orange', 60, { weight: 0.03, area: 0.01, chroma: 0.2 })
        ]
      }),
      'painter',
      HOUSE
    )
  ],
  [
    'greys with an accent',
    schemeReading(
      harmony({ scheme: { name: 'achromatic-accent', rotation: 60, coverage: 0.97, sectors: [0.97] } }),
      'painter',
      HOUSE
    )
  ],
  [
    'greys alone',
    schemeReading(
      harmony({ scheme: { name: 'achromatic', rotation: none, coverage: none, sectors: none }, families: none }),
      'painter',
      HOUSE
    )
  ],
  [
    'four colours and no scheme',
    schemeReading(
      harmony({
        scheme: { name: 'open', rotation: 60, coverage: 0.7, sectors: [0.4, 0.3] },
        families: [family('blue', 240), family('orange', 60), family('green', 150), family('purple', 300)],
        ranking: [{ name: 'triad', rotation: 0, coverage: 0.7, score: 0.5, sectors: [0.4, 0.3, 0] }]
      }),
      'painter',
      HOUSE
    )
  ],
  ['a plan kept', declaredReading({ scheme: 'complementary', coverage: 0.92, rotation: 60 }, 'painter')],
  ['a plan left', declaredReading({ scheme: 'complementary', coverage: 0.5, rotation: 60 }, 'painter')],
  [
    'a leading colour',
    proportionReading(harmony({ proportion: { shares: [0.7, 0.3], evenness: 0.88, lead: 2.33 } }), HOUSE)
  ],
  [
    'equal amounts',
    proportionReading(harmony({ proportion: { shares: [0.51, 0.49], evenness: 1, lead: 1.04 } }), HOUSE)
  ],
  [
    'equal amounts of quiet colours',
    proportionReading(
      harmony({
        proportion: { shares: [0.51, 0.49], evenness: 1, lead: 1.04 },
        saturation: { median: 0.03, p95: 0.06, vivid: 0, vividForHue: 0, muted: 0.9 }
      }),
      HOUSE
    )
  ],
  [
    'everything vivid',
    saturationReading(
      harmony({ saturation: { median: 0.2, p95: 0.25, vivid: 0.8, vividForHue: 0.8, muted: 0 } }),
      { focus: null, value: null },
      HOUSE
    )
  ],
  [
    'strong beside quiet',
    saturationReading(
      harmony({ saturation: { median: 0.04, p95: 0.2, vivid: 0.06, vividForHue: 0.06, muted: 0.6 } }),
      { focus: focus({ vivid: [{ x: 0.5, y: 0.5, share: 0.02, named: 'orange' }] }), value: null },
      HOUSE
    )
  ],
  ['nothing that contrasts', saturationReading(harmony({}), { focus: focus({}), value: null }, HOUSE)],
  [
    'one quiet colour',
    saturationReading(
      harmony({
        colours: 1,
        families: [family('green', 150)],
        saturation: { median: 0.04, p95: 0.05, vivid: 0, vividForHue: 0, muted: 0.9 }
      }),
      { focus: focus({}), value: null },
      HOUSE
    )
  ],
  ['materials, one of another light', materialReadings(light('ochre', 'slate', 'sand'), HOUSE)[0]!],
  ['shadows without the sky', ambientReading({ ratioHue: 30, surroundHue: 240, apart: 150, carried: false })],
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

it.each(SAID.filter(([, reading]) => reading !== null))('%s', (_, reading) => {
  const { sentence, verdict, correction } = reading!
  expect(sentence).toMatch(/^[A-Z\d“].*[.?]$/)
  expect(sentence).not.toMatch(/(^|[^\d.])0\u00a0%|NaN|undefined|null|Infinity| {2}/)
  if (verdict === 'fix') expect(correction, 'a fault has a way out').toBeDefined()
})

it('say all of it once', () => {
  expect(
    Object.fromEntries(
      SAID.map(([when, reading]) => [
        when,
        reading && `${reading.verdict}: ${reading.sentence.replaceAll('\u00a0', ' ')}`
      ])
    )
  ).toMatchSnapshot()
})
