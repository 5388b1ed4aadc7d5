import { expect, it } from 'vitest'
import { seededRandom } from '../numeric/random'
import { closeGrid, createGrid, GRID_MOST } from './closing'

/** The definition, pixel by pixel: the least of the greatest, windows cut at the picture's edge. */
function plainClosing(
  from: readonly number[],
  { width, height, radius }: { readonly width: number; readonly height: number; readonly radius: number }
): number[] {
  const over = (list: readonly number[], pick: (...n: number[]) => number): number[] =>
    list.map((_, i) => {
      const x = i % width,
        y = Math.floor(i / width),
        seen: number[] = []
      for (let py = Math.max(0, y - radius); py <= Math.min(height - 1, y + radius); py++) {
        for (let px = Math.max(0, x - radius); px <= Math.min(width - 1, x + radius); px++)
          seen.push(list[py * width + px])
      }
      return pick(...seen)
    })
  return over(over(from, Math.max), Math.min)
}

it('closes four pixels at a time as the definition closes one, at any width, height and radius', () => {
  const random = seededRandom(31)
  for (const [width, height, radius] of [
    [1, 1, 1],
    [1, 9, 3],
    [13, 1, 2],
    [3, 3, 3],
    [17, 11, 1],
    [22, 14, 2],
    [41, 23, 3]
  ]) {
    const from = Array.from({ length: width * height }, () => Math.floor((GRID_MOST + 1) * random() ** 2))
    const grid = createGrid(width, height, radius)
    from.forEach((n, i) => {
      grid.bytes[(Math.floor(i / width) + radius) * grid.stride + (i % width) + radius] = n
    })
    closeGrid(grid)
    const closed = from.map((_, i) => grid.bytes[(Math.floor(i / width) + radius) * grid.stride + (i % width) + radius])
    expect(closed, `${width} × ${height}, radius ${radius}`).toEqual(plainClosing(from, { width, height, radius }))
  }
})
