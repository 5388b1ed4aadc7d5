/** What is being drawn on the wall, and for what: an area, the focus, a stop of the route, or one picked point. */
import { ref, shallowRef, type Ref, type ShallowRef } from 'vue'
import type { Area } from '~~/core/picture/area'
import type { Mark, MarkKind } from '~~/core/critique/mark'
import type { Point } from '~~/shared/notes'

export type AreaTool = 'rectangle' | 'polygon' | 'lasso'
/** A place is picked by one press; a stroke and an arrow are drawn. */
export type MarkTool = MarkKind
export type Tool = AreaTool | MarkTool
/** What may come of drawing. */
export type Drawn = Area | Point | Mark

export interface Drawing {
  readonly tool: Ref<Tool | null>
  /** The area under the hand, or drawn and not yet named. */
  readonly sketch: ShallowRef<Area | null>
  /** Waits for an area; null when it was dropped. */
  readonly area: (tool: AreaTool) => Promise<Area | null>
  readonly point: () => Promise<Point | null>
  readonly mark: (tool: MarkTool) => Promise<Mark | null>
  /** The mark under the hand. */
  readonly marking: ShallowRef<Mark | null>
  /** The wall says what was drawn. */
  readonly finish: (drawn: Drawn) => void
  readonly drop: () => void
}

export function createDrawing(): Drawing {
  const tool = ref<Tool | null>(null), sketch = shallowRef<Area | null>(null), marking = shallowRef<Mark | null>(null)
  let settle: ((drawn: Drawn | null) => void) | null = null
  function end(drawn: Drawn | null): void {
    const waiting = settle
    settle = null
    tool.value = null
    sketch.value = marking.value = null
    waiting?.(drawn)
  }
  function begin<T extends Drawn>(next: Tool): Promise<T | null> {
    end(null)
    tool.value = next
    return new Promise((resolve) => { settle = drawn => resolve(drawn as T | null) })
  }
  /** A point as a mark is the place that was picked. */
  async function mark(next: MarkTool): Promise<Mark | null> {
    if (next !== 'point') return begin<Mark>(next)
    const at = await begin<Point>('point')
    return at && { kind: 'point', at: [at.x, at.y] }
  }
  return { tool, sketch, marking, area: next => begin<Area>(next), point: () => begin<Point>('point'), mark, finish: end, drop: () => end(null) }
}
