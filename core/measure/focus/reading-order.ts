/** The order in which the eye reaches what it should, against the order that is intended. */
import { areaHolds, type Area } from '../../picture/area'
import { isMeasured, type Measured, type Peak } from '../report'

export interface ReadingOrder {
  /** Intended stops in the order the eye reaches them, by index; each once. */
  readonly taken: readonly number[]
  /** Intended stops that no peak lies at. */
  readonly skipped: readonly number[]
  readonly inOrder: boolean
}

/** The route attention takes over intended stops (areas, in their intended order). */
export function readingOrder(peaks: Measured<readonly Peak[]>, stops: readonly Area[]): ReadingOrder {
  const route = isMeasured(peaks) ? peaks : []
  const taken = [...new Set(route.map(p => stops.findIndex(s => areaHolds(s, p.x, p.y))).filter(i => i >= 0))]
  return {
    taken,
    skipped: stops.map((_, i) => i).filter(i => !taken.includes(i)),
    inOrder: taken.every((stop, i) => i === 0 || stop > taken[i - 1])
  }
}
