import { FLAT_BLACK, greyOf, PLAIN, TWO_VALUES, WARM_COOL } from '../lenses'
import type { StationRow } from '../station'

export const light: StationRow = {
  station: 'light',
  name: 'Light',
  letter: 'L',
  lenses: (_, { grey }) => [PLAIN, greyOf(grey), TWO_VALUES, WARM_COOL, FLAT_BLACK]
}
