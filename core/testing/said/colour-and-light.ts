/** Sentences about temperature, harmony and light, each with when it is said. */
import { family, focus, harmony, light, none, value, warm } from '../sections'
import { DEFAULT_STANDARDS as HOUSE } from '../../critique/standards'
import { proportionReading, saturationReading } from '../../critique/stations/harmony/amounts'
import { declaredReading } from '../../critique/stations/harmony/declared'
import { schemeReading } from '../../critique/stations/harmony/scheme'
import { ambientReading } from '../../critique/stations/light/ambient'
import { materialReadings } from '../../critique/stations/light/materials'
import { areaTemperatureReading } from '../../critique/stations/temperature/area'
import { balanceReading, darksReading, lightAndDarkReading } from '../../critique/stations/temperature/picture'
import { planesTemperatureReading } from '../../critique/stations/temperature/planes'
import type { Said } from './said'

export const COLOUR_AND_LIGHT: readonly Said[] = [
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
  ['shadows without the sky', ambientReading({ ratioHue: 30, surroundHue: 240, apart: 150, carried: false })]
]
