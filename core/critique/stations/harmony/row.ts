import { isMeasured, type Report } from '../../../measure/report'
import type { SectorScheme } from '../../../wheel/schemes'
import { greyOf, PLAIN, SQUINT } from '../lenses'
import type { LensChoice, StationRow } from '../station'

const familiesLens = (report: Report | null): LensChoice[] =>
  report ? [{ label: 'families', request: { name: 'families', wheel: report.wheel } }] : []

function offSchemeLens(report: Report | null): LensChoice[] {
  if (!report || !isMeasured(report.harmony) || !isMeasured(report.harmony.ranking)) return []
  const { scheme, ranking } = report.harmony
  if (!isMeasured(scheme.rotation)) return []
  const named =
    scheme.name === 'achromatic-accent' ? 'monochrome' : scheme.name === 'open' ? ranking[0]!.name : scheme.name
  return [
    {
      label: 'off scheme',
      request: { name: 'off-scheme', wheel: report.wheel, scheme: named as SectorScheme, rotation: scheme.rotation }
    }
  ]
}

export const harmony: StationRow = {
  station: 'harmony',
  name: 'Harmony',
  letter: 'H',
  lenses: (report, { grey }) => [PLAIN, ...offSchemeLens(report), ...familiesLens(report), greyOf(grey), SQUINT]
}
