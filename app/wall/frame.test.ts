import { describe, expect, it } from 'vitest'
import { seededRandom } from '../../core/numeric/random'
import { hang, PLAIN_VIEW, zoomAbout, type WallView } from './frame'

const room = { x: 30, y: 84, width: 700, height: 500 },
  size = { width: 1000, height: 600 }
const middle = [room.x + room.width / 2, room.y + room.height / 2] as const

describe('the wall', () => {
  it('goes from the picture to the wall and back, however it is turned, mirrored and zoomed', () => {
    const random = seededRandom(5)
    for (let i = 0; i < 200; i++) {
      const view: WallView = {
        hanging: 'fit',
        zoom: 0.5 + 8 * random(),
        panX: 300 * random(),
        panY: -200 * random(),
        angleDeg: 720 * random() - 360,
        mirrored: random() < 0.5
      }
      const frame = hang(room, size, view),
        x = random(),
        y = random(),
        back = frame.toPicture(...frame.toWall(x, y))
      expect([back.x, back.y]).toEqual([expect.closeTo(x, 9), expect.closeTo(y, 9)])
    }
  })

  it('hangs the whole picture in its room at any angle', () => {
    for (const angleDeg of [0, 7, 45, 90, 133, 270]) {
      const frame = hang(room, size, { ...PLAIN_VIEW, angleDeg })
      for (const [x, y] of [
        [0, 0],
        [1, 0],
        [0, 1],
        [1, 1]
      ] as const) {
        const [wx, wy] = frame.toWall(x, y)
        expect(wx).toBeGreaterThanOrEqual(room.x - 1e-6)
        expect(wx).toBeLessThanOrEqual(room.x + room.width + 1e-6)
        expect(wy).toBeGreaterThanOrEqual(room.y - 1e-6)
        expect(wy).toBeLessThanOrEqual(room.y + room.height + 1e-6)
      }
    }
  })

  it('keeps the point under the pointer when zooming, and mirrors left and right', () => {
    const at = [200, 300] as const,
      before = hang(room, size, PLAIN_VIEW),
      point = before.toPicture(...at)
    const after = hang(room, size, zoomAbout(PLAIN_VIEW, 3.7, { at, middle }))
    expect(after.scale / before.scale).toBeCloseTo(3.7)
    expect(after.toWall(point.x, point.y)).toEqual([expect.closeTo(200, 6), expect.closeTo(300, 6)])
    const [left] = hang(room, size, PLAIN_VIEW).toWall(0, 0.5),
      [mirrored] = hang(room, size, { ...PLAIN_VIEW, mirrored: true }).toWall(1, 0.5)
    expect(mirrored).toBeCloseTo(left)
  })
})
