import { describe, expect, it } from 'vitest'
import type { Area } from '../../core/picture/area'
import { grownBy, movedBy, shapedBy } from './shape'

const box: Area = { kind: 'rectangle', x: 0.2, y: 0.3, w: 0.4, h: 0.2 }
const triangle: Area = {
  kind: 'polygon',
  points: [
    [0.2, 0.2],
    [0.6, 0.2],
    [0.4, 0.6]
  ]
}

describe('an area changed by hand', () => {
  it('stays a box when a corner is dragged, even past the corner opposite', () => {
    const dragged = shapedBy(box, 0, { x: 0.9, y: 0.9 })
    expect(dragged).toMatchObject({
      kind: 'rectangle',
      x: expect.closeTo(0.6),
      y: expect.closeTo(0.5),
      w: expect.closeTo(0.3),
      h: expect.closeTo(0.4)
    })
    expect(shapedBy(triangle, 2, { x: 2, y: 0.7 })).toEqual({
      kind: 'polygon',
      points: [
        [0.2, 0.2],
        [0.6, 0.2],
        [1, 0.7]
      ]
    })
  })

  it('moves and grows by keys, and stays on the picture', () => {
    expect(movedBy(box, 0.9, -0.9)).toMatchObject({ x: expect.closeTo(0.6), y: 0, w: 0.4, h: 0.2 })
    expect(grownBy(box, 2)).toMatchObject({
      x: 0,
      y: expect.closeTo(0.2),
      w: expect.closeTo(0.8),
      h: expect.closeTo(0.4)
    })
    expect(grownBy(movedBy(triangle, 0.1, 0), 0.5)).toMatchObject({
      points: [
        [expect.closeTo(0.4), expect.closeTo(0.3)],
        [expect.closeTo(0.6), expect.closeTo(0.3)],
        [expect.closeTo(0.5), expect.closeTo(0.5)]
      ]
    })
  })
})
