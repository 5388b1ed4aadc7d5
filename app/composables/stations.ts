/** The route of one critique: what each station is called and which lenses it brings. */
import type { LensRequest } from '~~/core/lens/lens'
import type { HouseStandards } from '~~/core/critique/standards'
import type { GreyName } from '~~/core/measure/greys'
import type { Station } from '~~/core/critique/reading'
import type { Report } from '~~/core/measure/report'
import { isMeasured } from '~~/core/measure/report'
import type { SectorScheme } from '~~/core/wheel/schemes'

export interface LensChoice { readonly label: string, readonly request: LensRequest }
export interface StationPlan { readonly station: Station, readonly name: string, readonly lenses: (report: Report | null, standards: HouseStandards) => LensChoice[] }

const PLAIN: LensChoice = { label: 'plain', request: { name: 'plain' } }

const GREY_LABEL: Readonly<Record<GreyName, string>> = { value: 'grey, L*', luma: 'luma', hsl: 'HSL', hsv: 'HSV' }
const greyOf = (grey: GreyName): LensChoice => ({ label: GREY_LABEL[grey], request: grey === 'value' ? { name: 'grey' } : { name: 'grey', grey } })
const otherGreys = (school: GreyName): LensChoice[] => (Object.keys(GREY_LABEL) as GreyName[]).filter(g => g !== school).map(greyOf)
const SQUINT: LensChoice = { label: 'squint', request: { name: 'squint' } }

const familiesLens = (report: Report | null): LensChoice[] => (report ? [{ label: 'families', request: { name: 'families', wheel: report.wheel } }] : [])

function offSchemeLens(report: Report | null): LensChoice[] {
  if (!report || !isMeasured(report.harmony) || !isMeasured(report.harmony.ranking)) return []
  const { scheme, ranking } = report.harmony
  const name = scheme.name === 'achromatic-accent' ? 'monochrome' : scheme.name === 'open' ? ranking[0]!.name : scheme.name
  if (!isMeasured(scheme.rotation)) return []
  return [{ label: 'off scheme', request: { name: 'off-scheme', wheel: report.wheel, scheme: name as SectorScheme, rotation: scheme.rotation } }]
}

export const STATION_PLANS: readonly StationPlan[] = [
  { station: 'first-look', name: 'First look', lenses: () => [PLAIN, SQUINT, { label: 'mirrored', request: { name: 'mirrored' } }] },
  {
    station: 'values',
    name: 'Values',
    lenses: (report, { grey }) => [
      PLAIN,
      greyOf(grey),
      { label: report && isMeasured(report.value) && isMeasured(report.value.groups) ? `${report.value.groups.length} values` : 'values', request: { name: 'groups', count: null } },
      { label: '2 values', request: { name: 'two-values' } },
      SQUINT,
      { label: 'flat black', request: { name: 'near-black' } },
      ...otherGreys(grey)
    ]
  },
  { station: 'focus', name: 'Focus', lenses: (_, { grey }) => [PLAIN, { label: 'attention', request: { name: 'attention' } }, greyOf(grey), SQUINT, { label: 'whites', request: { name: 'near-white' } }] },
  {
    station: 'temperature',
    name: 'Temperature',
    lenses: (_, { grey }) => [PLAIN, { label: 'warm, cool', request: { name: 'temperature' } }, { label: 'against scene', request: { name: 'relative-temperature' } }, greyOf(grey)]
  },
  { station: 'harmony', name: 'Harmony', lenses: (report, { grey }) => [PLAIN, ...offSchemeLens(report), ...familiesLens(report), greyOf(grey), SQUINT] },
  { station: 'light', name: 'Light', lenses: (_, { grey }) => [PLAIN, greyOf(grey), { label: '2 values', request: { name: 'two-values' } }, { label: 'warm, cool', request: { name: 'temperature' } }, { label: 'flat black', request: { name: 'near-black' } }] },
  { station: 'edges', name: 'Edges', lenses: (_, { grey }) => [PLAIN, { label: 'sharpness', request: { name: 'edges' } }, { label: 'detail', request: { name: 'detail' } }, { label: 'mirrored', request: { name: 'mirrored' } }, greyOf(grey)] },
  { station: 'verdict', name: 'Verdict', lenses: () => [PLAIN] }
]

export const planOf = (station: Station): StationPlan => STATION_PLANS.find(p => p.station === station) ?? STATION_PLANS[0]!
