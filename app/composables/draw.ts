/** What is drawn on the wall is for something: an area to read or where the eye should go, or the mark of a correction. */
import { areaOfMark, type Mark } from '~~/core/critique/mark'
import type { Area } from '~~/core/picture/area'
import { FOCUS_NAME } from '~~/shared/critique'
import type { AreaTool, MarkTool } from '~/stores/pencil'

/** Faces and figures draw the eye before anything measured: the critic says where one is. */
export async function drawNamed(name: string): Promise<void> {
  const area = await usePencilStore().drawArea('lasso')
  if (area) await useEditsStore().addArea(name, area)
}

/** A newly drawn area depends on the station: at Focus, where the eye should go; elsewhere, an area to be named. */
export async function drawFor(tool: AreaTool): Promise<void> {
  const bench = useBenchStore(),
    edits = useEditsStore(),
    pencil = usePencilStore()
  const area = await pencil.drawArea(tool)
  if (!area) return
  if (bench.station !== 'focus') pencil.sketch = area
  else if (bench.focusArea) await edits.changeArea(bench.focusArea.id, { name: FOCUS_NAME, area })
  else await edits.addArea(FOCUS_NAME, area)
}

/** Where a correction is marked, and what is measured there. */
export interface Marked {
  readonly mark: Mark | null
  readonly area: Area | null
}

/** The hand-drawn area marks itself; point, stroke and arrow measure what they lie on. @returns null when it was dropped. */
export async function drawMarked(tool: AreaTool | MarkTool): Promise<Marked | null> {
  const pencil = usePencilStore()
  if (tool === 'rectangle' || tool === 'polygon' || tool === 'lasso') {
    const area = await pencil.drawArea(tool)
    return area && { mark: null, area }
  }
  const mark = await pencil.drawMark(tool)
  return mark && { mark, area: areaOfMark(mark, useBenchStore().piece) }
}

/** A correction begun by hand, to be put in words. */
export function beginCorrection(marked: Marked = { mark: null, area: usePencilStore().sketch }): void {
  const { station } = useBenchStore()
  useInHandStore().begin({ station, ...marked, readingId: null, reason: '', what: '', todo: '', target: null })
}

export async function markBy(tool: MarkTool): Promise<void> {
  const marked = await drawMarked(tool)
  if (marked) beginCorrection(marked)
}
