/** The route of one critique: what each station is called and which lenses it brings. */
import type { LensRequest } from '~~/core/lens/lens'
import type { Station } from '~~/core/critique/reading'
import type { Report } from '~~/core/measure/report'
import { isMeasured } from '~~/core/measure/report'
import type { SectorScheme } from '~~/core/wheel/schemes'

export interface LensChoice { readonly label: string, readonly request: LensRequest }
export interface StationPlan { readonly station: Station, readonly name: string, readonly lenses: (report: Report | null) => LensChoice[] }

const PLAIN: LensChoice = { label: 'plain', request: { name: 'plain' } }

const GREY: LensChoice = { label: 'grey, L*', request: { name: 'grey' } }
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
  {
    station: 'values',
    name: 'Values',
    lenses: report => [
      PLAIN,
      GREY,
      { label: report && isMeasured(report.value) && isMeasured(report.value.groups) ? `${report.value.groups.length} values` : 'values', request: { name: 'groups', count: null } },
      { label: '2 values', request: { name: 'two-values' } },
      SQUINT,
      { label: 'flat black', request: { name: 'near-black' } },
      { label: 'luma', request: { name: 'grey', grey: 'luma' } },
      { label: 'HSL', request: { name: 'grey', grey: 'hsl' } },
      { label: 'HSV', request: { name: 'grey', grey: 'hsv' } }
    ]
  },
  { station: 'focus', name: 'Focus', lenses: () => [PLAIN, { label: 'attention', request: { name: 'attention' } }, GREY, SQUINT, { label: 'whites', request: { name: 'near-white' } }] },
  {
    station: 'temperature',
    name: 'Temperature',
    lenses: () => [PLAIN, { label: 'warm, cool', request: { name: 'temperature' } }, { label: 'against scene', request: { name: 'relative-temperature' } }, GREY]
  },
  { station: 'harmony', name: 'Harmony', lenses: report => [PLAIN, ...offSchemeLens(report), ...familiesLens(report), GREY, SQUINT] },
  { station: 'edges', name: 'Edges', lenses: () => [PLAIN, { label: 'sharpness', request: { name: 'edges' } }, { label: 'mirrored', request: { name: 'mirrored' } }, GREY] },
  { station: 'verdict', name: 'Verdict', lenses: () => [PLAIN] }
]

export const planOf = (station: Station): StationPlan => STATION_PLANS.find(p => p.station === station) ?? STATION_PLANS[0]!
