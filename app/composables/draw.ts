/** What is drawn on the wall is for something: an area to read or where the eye should go, or the mark of a correction. */
import { areaOfMark, type Mark } from '~~/core/critique/mark'
import type { Area } from '~~/core/picture/area'
import { FOCUS_NAME } from '~~/shared/critique'
import type { AreaTool, MarkTool } from '~/stores/drawing'

type Bench = ReturnType<typeof useBenchStore>

/** A newly drawn area depends on the station: at Focus, where the eye should go; elsewhere, an area to be named. */
export async function drawFor(bench: Bench, tool: AreaTool): Promise<void> {
  const area = await bench.drawArea(tool)
  if (!area) return
  if (bench.station !== 'focus') bench.sketch = area
  else if (bench.focusArea) await bench.changeArea(bench.focusArea.id, { name: FOCUS_NAME, area })
  else await bench.addArea(FOCUS_NAME, area)
}

/** Where a correction is marked, and what is measured there. */
export interface Marked { readonly mark: Mark | null, readonly area: Area | null }

/** The hand-drawn area marks itself; point, stroke and arrow measure what they lie on. @returns null when it was dropped. */
export async function drawMarked(bench: Bench, tool: AreaTool | MarkTool): Promise<Marked | null> {
  if (tool === 'rectangle' || tool === 'polygon' || tool === 'lasso') {
    const area = await bench.drawArea(tool)
    return area && { mark: null, area }
  }
  const mark = await bench.drawMark(tool)
  return mark && { mark, area: areaOfMark(mark, bench.submission!) }
}

/** A correction begun by hand, to be put in words. */
export function beginCorrection(bench: Bench, marked: Marked = { mark: null, area: bench.sketch }): void {
  bench.begin({ station: bench.station, ...marked, readingId: null, reason: '', what: '', todo: '', target: null })
}
export async function markBy(bench: Bench, tool: MarkTool): Promise<void> {
  const marked = await drawMarked(bench, tool)
  if (marked) beginCorrection(bench, marked)
}
