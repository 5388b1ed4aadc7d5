/** Marks on a picture: what they measure, what is drawn for them, where their tag stands. */
import { describe, expect, it } from 'vitest'
import { areaHolds, boundsOf } from '../picture/area'
import { areaOfMark, linesOfMark, tagPointOf, type Mark } from './mark'

const wide = { width: 1600, height: 400 }
const point: Mark = { kind: 'point', at: [0.3, 0.6] }
const arrow: Mark = { kind: 'arrow', from: [0.1, 0.2], to: [0.5, 0.8] }
const stroke: Mark = {
  kind: 'stroke',
  points: Array.from({ length: 20 }, (_, i) => [0.2 + 0.03 * i, 0.5 + 0.2 * Math.sin(i / 3), 0.5] as const)
}
const pixels = (p: readonly [number, number], q: readonly [number, number]): number =>
  Math.hypot((p[0] - q[0]) * wide.width, (p[1] - q[1]) * wide.height)

describe('a mark', () => {
  it('measures a disc, round in pixels on any format, about its point or its tip', () => {
    for (const [mark, at] of [
      [point, point.at],
      [arrow, arrow.to]
    ] as const) {
      const area = areaOfMark(mark, wide),
        { w, h } = boundsOf(area)
      expect(areaHolds(area, at[0], at[1])).toBe(true)
      expect(w * wide.width).toBeCloseTo(h * wide.height, 6)
      // Two hundredths of the diagonal to each side.
      expect(w * wide.width).toBeCloseTo(0.04 * Math.hypot(1600, 400), 6)
    }
  })

  it('drawn by hand measures the stroke itself: every place the hand passed, and not what lies well beside it', () => {
    const area = areaOfMark(stroke, wide)
    for (const [x, y] of stroke.points.slice(2, -2)) {
      expect(areaHolds(area, x, y), `${x}, ${y}`).toBe(true)
      expect(areaHolds(area, x, y + 0.1)).toBe(false)
    }
    expect(area.kind === 'polygon' && area.points.length).toBeLessThanOrEqual(400)
  })

  it('is drawn as an arrow whose head ends at its tip, both sides alike, leaning back', () => {
    const [shaft, head] = linesOfMark(arrow, null, wide)
    expect(shaft!.points).toEqual([arrow.from, arrow.to])
    const [left, tip, right] = head!.points as [
      readonly [number, number],
      readonly [number, number],
      readonly [number, number]
    ]
    expect(tip).toEqual(arrow.to)
    expect(pixels(left, tip)).toBeCloseTo(pixels(right, tip), 6)
    // Nearer the tail than the tip is, and as far from it on either side.
    for (const side of [left, right]) expect(pixels(side, arrow.from)).toBeLessThan(pixels(tip, arrow.from))
    expect(pixels(left, arrow.from)).toBeCloseTo(pixels(right, arrow.from), 6)
  })

  it("carries its tag at an arrow's tail, a stroke's beginning, an area's corner; words alone draw nothing", () => {
    expect([tagPointOf(arrow, areaOfMark(arrow, wide)), tagPointOf(stroke, areaOfMark(stroke, wide))]).toEqual([
      [0.1, 0.2],
      [0.2, 0.5]
    ])
    expect(tagPointOf(null, { kind: 'rectangle', x: 0.4, y: 0.3, w: 0.2, h: 0.2 })).toEqual([0.4, 0.3])
    expect(linesOfMark(null, null, wide)).toEqual([])
    expect(linesOfMark(stroke, null, wide)[0]).toMatchObject({ closed: true, filled: true })
  })
})
