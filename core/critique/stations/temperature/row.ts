import { greyOf, PLAIN, WARM_COOL } from '../lenses'
import type { StationRow } from '../station'

export const temperature: StationRow = {
  station: 'temperature',
  name: 'Temperature',
  letter: 'T',
  lenses: (_, { grey }) => [
    PLAIN,
    WARM_COOL,
    { label: 'against scene', request: { name: 'relative-temperature' } },
    greyOf(grey)
  ]
}
