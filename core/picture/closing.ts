/**
 * Morphological closing (J. Serra, "Image Analysis and Mathematical Morphology", 1982) with a small square:
 * what is dark and thinner than the square is filled by what lies beside it.
 *
 * Numbers are held in seven bits, four to a word, so that one comparison serves four pixels; a running
 * maximum over 2w is that over w and the same shifted by w, in place; the minimum is the maximum of the
 * complement. Clear rows and columns around the grid stand for what lies outside: they never win.
 */

/** Greatest number a grid holds. */
export const GRID_MOST = 127
/** The largest square a row's spare word leaves room for. */
export const RADIUS_MOST = 3

const HIGH = 0x80808080 | 0
const LOW = 0x7f7f7f7f

export interface Grid {
  readonly width: number
  readonly height: number
  readonly radius: number
  /** Bytes a row; pixel (x, y) is at (y + radius) · stride + x + radius. */
  readonly stride: number
  readonly bytes: Uint8Array
}

/** An empty grid with its margins. @throws RangeError for a radius outside 1–3. */
export function createGrid(width: number, height: number, radius: number): Grid {
  if (!(radius >= 1 && radius <= RADIUS_MOST))
    throw new RangeError(`a closing of radius ${radius} is not between 1 and ${RADIUS_MOST}`)
  const stride = ((width + 2 * radius + 3) & ~3) + 4
  return { width, height, radius, stride, bytes: new Uint8Array(stride * (height + 2 * radius)) }
}

/** The larger of each of four seven-bit numbers. */
function larger(p: number, q: number): number {
  const above = (((p | HIGH) - q) | 0) & HIGH
  return q ^ ((p ^ q) & (above - (above >>> 7)))
}

/** Shifts that grow a window of 1 to 2r + 1. */
function growth(radius: number): number[] {
  const shifts: number[] = []
  for (let covered = 1; covered < 2 * radius + 1; covered += shifts[shifts.length - 1])
    shifts.push(Math.min(covered, 2 * radius + 1 - covered))
  return shifts
}

/** Each number becomes the greatest of itself and those up to `2 · radius` after it, along rows, then along columns. */
function growForward(words: Int32Array, stride: number, shifts: readonly number[]): void {
  for (const shift of shifts) {
    const right = 8 * shift,
      left = 32 - right
    for (let i = 0, last = words.length - 1; i < last; i++)
      words[i] = larger(words[i], (words[i] >>> right) | (words[i + 1] << left))
  }
  for (const shift of shifts) {
    const away = shift * stride
    for (let i = 0, end = words.length - away; i < end; i++) words[i] = larger(words[i], words[i + away])
  }
}

/** Likewise with those before it. */
function growBackward(words: Int32Array, stride: number, shifts: readonly number[]): void {
  for (const shift of shifts) {
    const left = 8 * shift,
      right = 32 - left
    for (let i = words.length - 1; i > 0; i--)
      words[i] = larger(words[i], (words[i] << left) | (words[i - 1] >>> right))
    words[0] = larger(words[0], words[0] << left)
  }
  for (const shift of shifts) {
    const away = shift * stride
    for (let i = words.length - 1; i >= away; i--) words[i] = larger(words[i], words[i - away])
  }
}

/** Closes a grid in place. The margins hold no meaning afterwards. */
export function closeGrid({ width, height, radius, stride, bytes }: Grid): void {
  const words = new Int32Array(bytes.buffer),
    rowWords = stride >> 2,
    shifts = growth(radius)
  growForward(words, rowWords, shifts)
  for (let i = 0; i < words.length; i++) words[i] ^= LOW
  // A window centred outside the picture is none: clear again what the growth left in the margins.
  for (let y = 0; y < height; y++) bytes.fill(0, y * stride + width, (y + 1) * stride)
  bytes.fill(0, height * stride)
  growBackward(words, rowWords, shifts)
  for (let i = 0; i < words.length; i++) words[i] ^= LOW
}
