import { expect, it } from 'vitest'
import { assembledKernel } from '../../bin/lib/kernel'
import { seededRandom } from '../numeric/random'
import { addedByClosing, addedInKernel, addedInScript } from './closing'
import kernel from './closing.json' with { type: 'json' }

/** The definition, pixel by pixel: the least of the greatest, windows cut at the picture's edge. */
function plainClosing(
  from: readonly number[],
  { width, height, reach }: { readonly width: number; readonly height: number; readonly reach: number }
): number[] {
  const over = (list: readonly number[], pick: (...n: number[]) => number): number[] =>
    list.map((_, i) => {
      const x = i % width,
        y = Math.floor(i / width),
        seen: number[] = []
      for (let py = Math.max(0, y - reach); py <= Math.min(height - 1, y + reach); py++) {
        for (let px = Math.max(0, x - reach); px <= Math.min(width - 1, x + reach); px++)
          seen.push(list[py * width + px])
      }
      return pick(...seen)
    })
  return over(over(from, Math.max), Math.min)
}

it('carries the kernel that its text says', async () => {
  expect(kernel.bytes).toBe(await assembledKernel('core/picture/closing'))
})

it('closes as the definition does, in the kernel and in script, at any width, height and reach', () => {
  const random = seededRandom(31)
  for (const [width, height, reach] of [
    [1, 1, 1],
    [1, 9, 3],
    [13, 1, 2],
    [3, 3, 3],
    [17, 11, 1],
    [22, 14, 2],
    [41, 23, 3],
    [64, 20, 16]
  ]) {
    const value = Float32Array.from({ length: width * height }, () => 128 * random() ** 2),
      mask = Uint8Array.from(value, () => (random() < 0.8 ? 1 : 0)),
      plane = { width, height, value, mask }
    for (const [scale, shift] of [
      [1, 0.5],
      [-1, 128.5]
    ]) {
      const open = [...value].map(v => Math.floor(v * scale + shift)),
        closed = plainClosing(open, { width, height, reach }),
        added = closed.reduce((sum, to, i) => sum + mask[i] * (to - open[i]), 0),
        closing = { scale, shift, reach }
      expect(addedInKernel(plane, closing), `kernel, ${width} × ${height}, reach ${reach}`).toBe(added)
      expect(addedInScript(plane, closing), `script, ${width} × ${height}, reach ${reach}`).toBe(added)
    }
  }
  expect(() =>
    addedByClosing(
      { width: 1, height: 1, value: new Float32Array(1), mask: new Uint8Array(1) },
      {
        scale: 1,
        shift: 0,
        reach: 0
      }
    )
  ).toThrow(RangeError)
})
