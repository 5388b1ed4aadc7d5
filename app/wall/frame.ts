/** Where the picture hangs on the wall: from fractions of the picture to wall pixels and back. */
export interface Size {
  readonly width: number
  readonly height: number
}

/** How large the picture hangs before zooming: as large as fits, as a stamp, or as seen from across the room. */
export type Hanging = 'fit' | 'stamp' | 'room'

export interface WallView {
  readonly hanging: Hanging
  /** Times the hanging size, 0.5–40. */
  readonly zoom: number
  /** Wall pixels that the picture's middle is moved by. */
  readonly panX: number
  readonly panY: number
  /** Clockwise. */
  readonly angleDeg: number
  readonly mirrored: boolean
}
export const PLAIN_VIEW: WallView = { hanging: 'fit', zoom: 1, panX: 0, panY: 0, angleDeg: 0, mirrored: false }
const ZOOM_LIMITS = [0.5, 40] as const

/** Long edge of the stamp in wall pixels, and how much smaller than the wall a picture looks from across the room. */
const STAMP_EDGE = 160
const ROOM = 1 / 6

/** The part of the wall that is free for the picture. */
export interface Room {
  readonly x: number
  readonly y: number
  readonly width: number
  readonly height: number
}

export interface WallFrame {
  /** Wall pixels a picture pixel. */
  readonly scale: number
  readonly toWall: (x: number, y: number) => readonly [x: number, y: number]
  readonly toPicture: (wallX: number, wallY: number) => { x: number; y: number }
  /** CSS transform that hangs an element of the picture's own size, its origin at the top left. */
  readonly transform: string
}

export function hang(room: Room, { width, height }: Size, view: WallView): WallFrame {
  const turn = (view.angleDeg * Math.PI) / 180,
    cos = Math.cos(turn),
    sin = Math.sin(turn)
  const across = Math.abs(width * cos) + Math.abs(height * sin),
    down = Math.abs(width * sin) + Math.abs(height * cos)
  const fit = Math.max(0.001, Math.min(room.width / across, room.height / down))
  const hung =
    view.hanging === 'fit'
      ? fit
      : view.hanging === 'stamp'
        ? Math.min(fit, STAMP_EDGE / Math.max(width, height))
        : fit * ROOM
  const scale = hung * view.zoom,
    flip = view.mirrored ? -1 : 1
  const cx = room.x + room.width / 2 + view.panX,
    cy = room.y + room.height / 2 + view.panY
  return {
    scale,
    toWall(x, y) {
      const u = flip * (x - 0.5) * width * scale,
        v = (y - 0.5) * height * scale
      return [cx + u * cos - v * sin, cy + u * sin + v * cos]
    },
    toPicture(wallX, wallY) {
      const dx = wallX - cx,
        dy = wallY - cy
      return {
        x: (flip * (dx * cos + dy * sin)) / (width * scale) + 0.5,
        y: (dy * cos - dx * sin) / (height * scale) + 0.5
      }
    },
    transform: [
      `translate(${cx}px, ${cy}px)`,
      `rotate(${view.angleDeg}deg)`,
      `scale(${flip * scale}, ${scale})`,
      `translate(${-width / 2}px, ${-height / 2}px)`
    ].join(' ')
  }
}

/** A place to zoom about, and where the unpanned picture's middle hangs; in pixels of the wall. */
export interface ZoomedAbout {
  readonly at: readonly [number, number]
  readonly middle: readonly [number, number]
}
const MIDDLE: ZoomedAbout = { at: [0, 0], middle: [0, 0] }

/** Zooms by a factor while the picture stays put under a place of the wall; without one, under the wall's middle. */
export function zoomAbout(view: WallView, factor: number, { at, middle }: ZoomedAbout = MIDDLE): WallView {
  const zoom = Math.min(ZOOM_LIMITS[1], Math.max(ZOOM_LIMITS[0], view.zoom * factor)),
    real = zoom / view.zoom
  const move = (pan: number, point: number, mid: number): number => point - mid - (point - mid - pan) * real
  return { ...view, zoom, panX: move(view.panX, at[0], middle[0]), panY: move(view.panY, at[1], middle[1]) }
}
