import { PLAIN } from '../lenses'
import type { StationRow } from '../station'

export const verdict: StationRow = {
  station: 'verdict',
  name: 'Verdict',
  letter: 'G',
  lenses: () => [PLAIN]
}
