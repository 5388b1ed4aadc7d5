import { MIRRORED, PLAIN, SQUINT } from '../lenses'
import type { StationRow } from '../station'

export const firstLook: StationRow = {
  station: 'first-look',
  name: 'First look',
  letter: 'A',
  lenses: () => [PLAIN, SQUINT, MIRRORED]
}
