import { greyOf, MIRRORED, PLAIN } from '../lenses'
import type { StationRow } from '../station'

export const edges: StationRow = {
  station: 'edges',
  name: 'Edges',
  letter: 'E',
  lenses: (_, { grey }) => [
    PLAIN,
    { label: 'sharpness', request: { name: 'edges' } },
    { label: 'detail', request: { name: 'detail' } },
    MIRRORED,
    greyOf(grey)
  ]
}
