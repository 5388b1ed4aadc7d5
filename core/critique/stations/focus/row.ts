import { greyOf, PLAIN, SQUINT } from '../lenses'
import type { StationRow } from '../station'

export const focus: StationRow = {
  station: 'focus',
  name: 'Focus',
  letter: 'F',
  lenses: (_, { grey }) => [
    PLAIN,
    { label: 'attention', request: { name: 'attention' } },
    greyOf(grey),
    SQUINT,
    { label: 'whites', request: { name: 'near-white' } }
  ]
}
