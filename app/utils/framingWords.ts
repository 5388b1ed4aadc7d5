/** What a framing's readings say, in a line. */
import { placeWords } from '~~/core/critique/stations/places'
import type { FramingRead } from '~~/core/measure/composition/framing'

export const framingWords = (f: FramingRead): string =>
  [
    f.range === null ? '' : `range ${Math.round(f.range)}`,
    f.first ? `the eye to ${placeWords(f.first)}` : '',
    f.horizon === null ? '' : `division at ${Math.round(100 * f.horizon)} %`
  ]
    .filter(Boolean)
    .join(', ')
