/**
 * Drawing without a pointer: arrows move a cross over the picture, the space bar sets it down, Enter closes. An area
 * being reshaped is moved and grown.
 */
import { useEventListener } from '@vueuse/core'
import type { Point } from '~~/shared/notes'
import { grownBy, movedBy } from './shape'
import type { DrawingHand } from './useDrawing'

const STEP = 0.01,
  FAST = 0.05
const clamp = (v: number): number => Math.min(1, Math.max(0, v))

/** @returns where the cross stands, or null while nothing is drawn by keys. */
export function useKeyboardHand(drawing: DrawingHand, point: (at: Point | null) => void): Readonly<Ref<Point | null>> {
  const sight = useSightStore(),
    pencil = usePencilStore(),
    wall = useWallStore()
  const cross = ref<Point | null>(null)
  let begun = false
  watch(
    () => pencil.tool,
    tool => {
      begun = false
      if (!tool) cross.value = null
    }
  )
  /**
   * Arrows are the field's own, and a choice's, unless something is being drawn: a lens just chosen is no reason to
   * lose the cross.
   */
  const typing = (event: KeyboardEvent): boolean =>
    event.target instanceof HTMLElement
    && event.target.closest(
      `input${pencil.tool || sight.reshaping ? ':not([type="radio"])' : ''}, textarea, [contenteditable],`
        + ' [role="dialog"], [role="combobox"]'
    ) !== null

  useEventListener(
    'keydown',
    (event: KeyboardEvent) => {
      if (typing(event) || event.ctrlKey || event.metaKey || event.altKey) return
      const move = arrowOf(event.key)
      if (sight.reshaping && (move || event.key === '+' || event.key === '-')) {
        event.preventDefault()
        event.stopImmediatePropagation()
        const by = event.shiftKey ? FAST : STEP,
          { area } = sight.reshaping
        sight.reshaping = {
          ...sight.reshaping,
          area: move ? movedBy(area, by * move[0], by * move[1]) : grownBy(area, event.key === '+' ? 1.05 : 1 / 1.05)
        }
      } else if (move) {
        event.preventDefault()
        if (!pencil.tool)
          return wall.change({ panX: wall.view.panX - 40 * move[0], panY: wall.view.panY - 40 * move[1] })
        const from = cross.value ?? { x: 0.5, y: 0.5 },
          by = event.shiftKey ? FAST : STEP
        cross.value = { x: clamp(from.x + by * move[0]), y: clamp(from.y + by * move[1]) }
        drawing.move(cross.value)
        point(cross.value)
      } else if (pencil.tool && event.key === 'Enter') drawing.close()
      else if (pencil.tool && event.key === 'Backspace') drawing.takeBack()
      else if (pencil.tool && cross.value && event.key === ' ') {
        event.preventDefault()
        event.stopImmediatePropagation()
        // A line by hand needs a hand: by keys it goes corner by corner.
        if (pencil.tool === 'lasso') pencil.tool = 'polygon'
        if (pencil.tool !== 'polygon' && pencil.tool !== 'point' && begun) drawing.lift()
        else drawing.press(cross.value)
        begun = !begun
      }
    },
    { capture: true }
  )
  return cross
}
