/**
 * What is drawn on the wall is for something: an area to read or where the eye should go, or the mark of a correction.
 */
import { areaOfMark, type Mark } from '~~/core/critique/mark'
import type { Area } from '~~/core/picture/area'
import { FOCUS_NAME } from '~~/shared/critique'
import type { AreaTool, MarkTool } from '~/stores/pencil'

/** Where a correction is marked, and what is measured there. */
export interface Marked {
  readonly mark: Mark | null
  readonly area: Area | null
}

export function useDrawFor() {
  const bench = useBenchStore(),
    edits = useEditsStore(),
    pencil = usePencilStore(),
    inHand = useInHandStore()

  /** Faces and figures draw the eye before anything measured: the critic says where one is. */
  async function drawNamed(name: string): Promise<void> {
    const area = await pencil.drawArea('lasso')
    if (area) await edits.addArea(name, area)
  }
  /** A newly drawn area depends on the station: at Focus, where the eye should go; elsewhere, an area to be named. */
  async function drawFor(tool: AreaTool): Promise<void> {
    const area = await pencil.drawArea(tool)
    if (!area) return
    if (bench.station !== 'focus') pencil.sketch = area
    else if (bench.focusArea) await edits.changeArea(bench.focusArea.id, { name: FOCUS_NAME, area })
    else await edits.addArea(FOCUS_NAME, area)
  }
  /**
   * The hand-drawn area marks itself; point, stroke and arrow measure what they lie on. @returns null when it was
   * dropped.
   */
  async function drawMarked(tool: AreaTool | MarkTool): Promise<Marked | null> {
    if (tool === 'rectangle' || tool === 'polygon' || tool === 'lasso') {
      const area = await pencil.drawArea(tool)
      return area && { mark: null, area }
    }
    const mark = await pencil.drawMark(tool)
    return mark && { mark, area: areaOfMark(mark, bench.piece) }
  }
  /** A correction begun by hand, to be put in words. */
  function beginCorrection(marked: Marked = { mark: null, area: pencil.sketch }): void {
    const { station } = bench
    inHand.begin({ station, ...marked, readingId: null, reason: '', what: '', todo: '', target: null })
  }
  async function markBy(tool: MarkTool): Promise<void> {
    const marked = await drawMarked(tool)
    if (marked) beginCorrection(marked)
  }
  return { drawNamed, drawFor, drawMarked, beginCorrection, markBy }
}
