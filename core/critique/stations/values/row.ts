import { isMeasured, type Report } from '../../../measure/report'
import { FLAT_BLACK, greyOf, otherGreys, PLAIN, SQUINT, TWO_VALUES } from '../lenses'
import type { StationRow } from '../station'

function groupsLabel(report: Report | null): string {
  return report && isMeasured(report.value) && isMeasured(report.value.groups)
    ? `${report.value.groups.length} values`
    : 'values'
}

export const values: StationRow = {
  station: 'values',
  name: 'Values',
  letter: 'V',
  lenses: (report, { grey }) => [
    PLAIN,
    greyOf(grey),
    { label: groupsLabel(report), request: { name: 'groups', count: null } },
    TWO_VALUES,
    SQUINT,
    FLAT_BLACK,
    ...otherGreys(grey)
  ]
}
