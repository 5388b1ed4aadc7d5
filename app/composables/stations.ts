/** The route of one critique: what each station is called and which lenses it brings. */
import type { LensRequest } from '~~/core/lens/lens'
import type { Station } from '~~/core/critique/reading'
import type { Report } from '~~/core/measure/report'
import { isMeasured } from '~~/core/measure/report'
import type { SectorScheme } from '~~/core/wheel/schemes'

export interface LensChoice { readonly label: string, readonly request: LensRequest }
export interface StationPlan { readonly station: Station, readonly name: string, readonly lenses: (report: Report | null) => LensChoice[] }

const PLAIN: LensChoice = { label: 'plain', request: { name: 'plain' } }

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
      { label: 'grey, L*', request: { name: 'grey' } },
      { label: report && isMeasured(report.value) && isMeasured(report.value.groups) ? `${report.value.groups.length} values` : 'values', request: { name: 'groups', count: null } },
      { label: '2 values', request: { name: 'two-values' } },
      { label: 'squint', request: { name: 'squint' } },
      { label: 'flat black', request: { name: 'near-black' } }
    ]
  },
  { station: 'harmony', name: 'Harmony', lenses: report => [PLAIN, ...offSchemeLens(report), { label: 'grey, L*', request: { name: 'grey' } }, { label: 'squint', request: { name: 'squint' } }] },
  { station: 'verdict', name: 'Verdict', lenses: () => [PLAIN] }
]

export const planOf = (station: Station): StationPlan => STATION_PLANS.find(p => p.station === station) ?? STATION_PLANS[0]!
