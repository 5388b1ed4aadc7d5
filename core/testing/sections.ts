/**
 * Sections of a report as a sound picture has them, for sentences to be read of: what a test is about is given, the
 * rest is in order.
 */
import type {
  CompositionSection,
  EdgesSection,
  Family,
  FocusSection,
  HarmonySection,
  LightSection,
  Peak,
  Separation,
  TemperatureSection,
  ValueSection
} from '../measure/report'
import { notMeasurable } from '../measure/report'
import type { Area } from '../picture/area'

export const none = notMeasurable('not asked for')
export const value = (part: Partial<ValueSection>): ValueSection => ({
  darkest: 4,
  lightest: 96,
  range: 92,
  median: 50,
  key: 'middle',
  thirds: { dark: 0.3, middle: 0.4, light: 0.3 },
  groups: none,
  nearBlack: 0,
  flatBlack: { share: 0, holes: 0, patches: [] },
  nearWhite: 0,
  verdict: 'full',
  ...part
})
export const peak = (x: number, y: number, part: Partial<Peak> = {}): Peak => ({
  x,
  y,
  strength: 1,
  named: 'pale yellow',
  extent: { x, y, w: 0.1, h: 0.1 },
  causes: { value: 0.8, chroma: 0.1, hue: 0.05, detail: 0.05, orientation: 0 },
  ...part
})
export const focus = (part: Partial<FocusSection>): FocusSection => ({ peaks: none, whites: [], vivid: [], ...part })
export const warm = (part: Partial<TemperatureSection>): TemperatureSection => ({
  mean: 0,
  warm: 0.3,
  cool: 0.3,
  neither: 0.4,
  lights: 0,
  darks: 0,
  lightMinusDark: 0,
  darkest: 0,
  ...part
})
export const family = (named: string, position: number, part: Partial<Family> = {}): Family => ({
  step: 'blue',
  named,
  position,
  weight: 0.5,
  area: 0.3,
  chroma: 0.1,
  darkest: 10,
  lightest: 80,
  ...part
})
export const harmony = (part: Partial<HarmonySection>): HarmonySection => ({
  families: [family('blue', 240), family('orange', 60, { area: 0.1 })],
  colours: 2,
  neutrals: 0.3,
  scheme: { name: 'complementary', rotation: 60, coverage: 0.94, sectors: [0.4, 0.54] },
  ranking: [],
  offScheme: 0.06,
  proportion: none,
  saturation: { median: 0.1, p95: 0.2, vivid: 0.1, vividForHue: 0.1, muted: 0.3 },
  palette: [],
  ...part
})
export const edges = (part: Partial<EdgesSection>): EdgesSection => ({
  lineDependence: 0.1,
  thinLights: 0,
  sharpness: { focus: none, near: none, rest: none },
  detail: { focus: none, near: none, rest: none },
  ...part
})
export const composed = (part: Partial<CompositionSection>): CompositionSection => ({
  symmetry: 0,
  symmetryAcross: 0,
  horizon: none,
  balance: none,
  ...part
})
export const apart = (deltaValue: number, deltaE: number): Separation => ({
  name: '',
  value: 50,
  ring: 50 - deltaValue,
  deltaValue,
  deltaE,
  deltaTemperature: 0,
  merges: false
})
export const boat: Area = { kind: 'rectangle', x: 0.4, y: 0.4, w: 0.2, h: 0.2 }
const material = {
  name: 'slate',
  lit: '#8090a0',
  shadow: '#404850',
  expected: '#455060',
  deviation: 12,
  stops: 0.6,
  leaves: true,
  deltaValue: 30,
  hueShift: none,
  chromaKept: none,
  onlyDarker: true,
  overlap: 4
}
export const light = (...names: string[]): LightSection => ({
  consensus: [0.3, 0.3, 0.4],
  materials: names.map(name => ({ ...material, name, deviation: name === 'slate' ? 12 : 1 }))
})
