/** Where a worksheet is bare paper: known from how it is printed. */
import type { Place, PrintedSheet } from '../worksheet/worksheet'

/** Millimetres: a spot's side, what is kept clear around it, and between spots. */
const SIDE = 3,
  CLEAR = 0.5,
  EVERY = 6

const MM_OF_POINT = 0.3528,
  LETTER = 0.55

function printedPlaces({
  boxes,
  patches = [],
  frames,
  lines,
  greys,
  markers,
  codePlace,
  wheel
}: PrintedSheet): Place[] {
  const text = lines.map(({ x, y, size, text, middle }) => {
    const w = text.length * size * MM_OF_POINT * LETTER,
      h = size * MM_OF_POINT
    return { x: middle ? x - w / 2 : x, y: y - h, w, h: 1.4 * h }
  })
  // Frames are drawn in, and so is the line for a name.
  const ring = wheel ? [{ x: wheel.x - 46, y: wheel.y - wheel.radius - 6, w: 92, h: 2 * wheel.radius + 12 }] : []
  return [...boxes, ...patches, ...frames, ...greys, ...markers, codePlace, ...text, ...ring]
}

/** @returns spots of bare paper all over the sheet. */
export function paperSpots(sheet: PrintedSheet): Place[] {
  const taken = printedPlaces(sheet),
    spots: Place[] = []
  const free = (x: number, y: number): boolean =>
    taken.every(p => x + SIDE + CLEAR < p.x || x - CLEAR > p.x + p.w || y + SIDE + CLEAR < p.y || y - CLEAR > p.y + p.h)
  const add = (x: number, y: number): void => {
    if (free(x, y)) spots.push({ x, y, w: SIDE, h: SIDE })
  }
  for (let y = 6; y < sheet.height - 6 - SIDE; y += EVERY)
    for (let x = 6; x < sheet.width - 6 - SIDE; x += EVERY) add(x, y)
  // Beside every box, where the light on it is known best.
  for (const { x, y, w, h } of sheet.boxes) {
    add(x - SIDE - CLEAR - 0.01, y + h / 2)
    add(x + w + CLEAR + 0.01, y + h / 2)
  }
  return spots
}
