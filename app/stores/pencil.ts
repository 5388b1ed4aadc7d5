/** What is being drawn on the wall, and for what: an area, the focus, a stop of the route, or one picked point. */
import type { Area } from '~~/core/picture/area'
import type { Mark, MarkKind } from '~~/core/critique/mark'
import type { Point } from '~~/shared/notes'

export type AreaTool = 'rectangle' | 'polygon' | 'lasso'
/** A place is picked by one press; a stroke and an arrow are drawn. */
export type MarkTool = MarkKind
export type Tool = AreaTool | MarkTool
/** What may come of drawing. */
export type Drawn = Area | Point | Mark

/** One thing is drawn at a time, waited for by whoever began it; null when it is dropped. */
export const usePencilStore = defineStore('pencil', () => {
  const tool = ref<Tool | null>(null)
  /** The area under the hand, or drawn and not yet named. */
  const sketch = shallowRef<Area | null>(null)
  /** The mark under the hand. */
  const marking = shallowRef<Mark | null>(null)
  let settle: ((drawn: Drawn | null) => void) | null = null

  /** The wall says what was drawn; null when it was dropped. */
  function finish(drawn: Drawn | null): void {
    const waiting = settle
    settle = null
    tool.value = null
    sketch.value = marking.value = null
    waiting?.(drawn)
  }
  const drop = (): void => finish(null)
  function begin<T extends Drawn>(next: Tool): Promise<T | null> {
    drop()
    tool.value = next
    return new Promise(resolve => {
      settle = drawn => resolve(drawn as T | null)
    })
  }
  const drawArea = (next: AreaTool): Promise<Area | null> => begin<Area>(next)
  const pickPoint = (): Promise<Point | null> => begin<Point>('point')
  /** A point as a mark is the place that was picked. */
  async function drawMark(next: MarkTool): Promise<Mark | null> {
    if (next !== 'point') return begin<Mark>(next)
    const at = await pickPoint()
    return at && { kind: 'point', at: [at.x, at.y] }
  }
  return { tool, sketch, marking, drawArea, pickPoint, drawMark, finish, drop }
})
