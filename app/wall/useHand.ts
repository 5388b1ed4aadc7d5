/** Pointers on the wall: one draws or moves the picture, two pinch; the wheel zooms where it points. */
import type Konva from 'konva'
import type { Point } from '~~/shared/notes'
import type { DrawingHand } from './useDrawing'
import { zoomAbout, type WallFrame } from './frame'

/** A pen tells how hard it presses; a mouse and a finger do not. */
const pressureOf = ({ pointerType, pressure }: PointerEvent): number =>
  pointerType === 'pen' && pressure > 0 ? pressure : 0.5

type Pointed = Konva.KonvaEventObject<PointerEvent>

export type Hand = ReturnType<typeof useHand>

interface HandOn {
  readonly frame: Readonly<Ref<WallFrame>>
  /** The wall point at which the picture's middle hangs before it is moved. */
  readonly middle: () => readonly [number, number]
  readonly drawing: DrawingHand
  readonly point: (at: Point | null) => void
}

export function useHand({ frame, middle, drawing, point }: HandOn) {
  const sight = useSightStore(),
    pencil = usePencilStore(),
    wall = useWallStore()
  const down = new Map<number, readonly [number, number]>()
  const placeOf = ({ evt, target }: Pointed): readonly [number, number] => {
    const box = target.getStage()!.container().getBoundingClientRect()
    return [evt.clientX - box.left, evt.clientY - box.top]
  }
  function pinch(before: readonly (readonly [number, number])[], after: readonly (readonly [number, number])[]): void {
    const spread = (p: typeof before): number => Math.hypot(p[0]![0] - p[1]![0], p[0]![1] - p[1]![1])
    const centre = (p: typeof before, axis: 0 | 1): number => (p[0]![axis] + p[1]![axis]) / 2
    const zoomed = zoomAbout(wall.view, spread(after) / Math.max(1, spread(before)), {
      at: [centre(after, 0), centre(after, 1)],
      middle: middle()
    })
    wall.change({
      ...zoomed,
      panX: zoomed.panX + centre(after, 0) - centre(before, 0),
      panY: zoomed.panY + centre(after, 1) - centre(before, 1)
    })
  }
  return {
    press(event: Pointed) {
      const at = placeOf(event)
      down.set(event.evt.pointerId, at)
      if (pencil.tool && down.size === 1) drawing.press(frame.value.toPicture(...at), pressureOf(event.evt))
    },
    move(event: Pointed) {
      const at = placeOf(event),
        before = down.get(event.evt.pointerId),
        on = frame.value.toPicture(...at)
      point(on.x >= 0 && on.x < 1 && on.y >= 0 && on.y < 1 ? on : null)
      if (pencil.tool && down.size < 2) return drawing.move(on, pressureOf(event.evt))
      if (!before || sight.reshaping) return
      const others = [...down.entries()].filter(([id]) => id !== event.evt.pointerId).map(([, place]) => place)
      if (others.length === 1) pinch([before, others[0]!], [at, others[0]!])
      else if (others.length === 0)
        wall.change({ panX: wall.view.panX + at[0] - before[0], panY: wall.view.panY + at[1] - before[1] })
      down.set(event.evt.pointerId, at)
    },
    lift(event: Pointed) {
      if (down.delete(event.evt.pointerId) && pencil.tool) drawing.lift()
    },
    leave(event: Pointed) {
      down.delete(event.evt.pointerId)
      point(null)
    },
    wheel({ evt, target }: Konva.KonvaEventObject<WheelEvent>) {
      evt.preventDefault()
      const box = target.getStage()!.container().getBoundingClientRect()
      wall.change(
        zoomAbout(wall.view, Math.exp(-evt.deltaY * 0.0015), {
          at: [evt.clientX - box.left, evt.clientY - box.top],
          middle: middle()
        })
      )
    }
  }
}
