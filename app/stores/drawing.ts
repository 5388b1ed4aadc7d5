/** What is being drawn on the wall, and for what: an area, the focus, a stop of the route, or one picked point. */
import { ref, shallowRef, type Ref, type ShallowRef } from 'vue'
import type { Area } from '~~/core/picture/area'
import type { Point } from '~~/shared/notes'

export type AreaTool = 'rectangle' | 'polygon' | 'lasso'
export type Tool = AreaTool | 'point'

export interface Drawing {
  readonly tool: Ref<Tool | null>
  /** The area under the hand, or drawn and not yet named. */
  readonly sketch: ShallowRef<Area | null>
  /** Waits for an area; null when it was dropped. */
  readonly area: (tool: AreaTool) => Promise<Area | null>
  readonly point: () => Promise<Point | null>
  /** The wall says what was drawn. */
  readonly finish: (drawn: Area | Point) => void
  readonly drop: () => void
}

export function createDrawing(): Drawing {
  const tool = ref<Tool | null>(null), sketch = shallowRef<Area | null>(null)
  let settle: ((drawn: Area | Point | null) => void) | null = null
  function end(drawn: Area | Point | null): void {
    const waiting = settle
    settle = null
    tool.value = null
    sketch.value = null
    waiting?.(drawn)
  }
  function begin<T extends Area | Point>(next: Tool): Promise<T | null> {
    end(null)
    tool.value = next
    return new Promise((resolve) => { settle = drawn => resolve(drawn as T | null) })
  }
  return { tool, sketch, area: next => begin<Area>(next), point: () => begin<Point>('point'), finish: end, drop: () => end(null) }
}
