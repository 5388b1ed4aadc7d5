/** The hand on the wall, press by press, against a store of what is being drawn. */
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, expect, it } from 'vitest'
import { effectScope, nextTick } from 'vue'
import { usePencilStore } from '~/stores/pencil'
import { areaHolds, type Area } from '~~/core/picture/area'
import type { Mark } from '~~/core/critique/mark'
import { useDrawing } from './useDrawing'

const near = (a: { x: number; y: number }, b: { x: number; y: number }): boolean =>
  Math.hypot(a.x - b.x, a.y - b.y) < 0.02
let pencil: ReturnType<typeof usePencilStore>, hand: ReturnType<typeof useDrawing>
beforeEach(() => {
  setActivePinia(createPinia())
  pencil = usePencilStore()
  hand = effectScope().run(() => useDrawing(near))!
})
async function drawn<T>(waiting: Promise<T>, strokes: () => void): Promise<T> {
  await nextTick()
  strokes()
  return waiting
}
const drag = (places: readonly (readonly [number, number])[]): void => {
  hand.press({ x: places[0]![0], y: places[0]![1] })
  for (const [x, y] of places.slice(1)) hand.move({ x, y })
  hand.lift()
}

it('a box is the same whichever corner it is begun at, and ends at the edge of the picture', async () => {
  const box: Area = {
    kind: 'rectangle',
    x: 0.2,
    y: 0.3,
    w: expect.closeTo(0.5) as number,
    h: expect.closeTo(0.4) as number
  }
  expect(
    await drawn(pencil.drawArea('rectangle'), () =>
      drag([
        [0.2, 0.3],
        [0.5, 0.6],
        [0.7, 0.7]
      ])
    )
  ).toEqual(box)
  expect(
    await drawn(pencil.drawArea('rectangle'), () =>
      drag([
        [0.7, 0.7],
        [0.2, 0.3]
      ])
    )
  ).toEqual(box)
  expect(
    await drawn(pencil.drawArea('rectangle'), () =>
      drag([
        [0.5, 0.5],
        [1.8, -2]
      ])
    )
  ).toEqual({ kind: 'rectangle', x: 0.5, y: 0, w: 0.5, h: 0.5 })
})

it('a slip of the hand is no area: the tool stays until something is drawn or it is dropped', async () => {
  const waiting = pencil.drawArea('rectangle')
  await nextTick()
  drag([
    [0.5, 0.5],
    [0.501, 0.501]
  ])
  expect([pencil.tool, pencil.sketch]).toEqual(['rectangle', null])
  pencil.drop()
  expect(await waiting).toBeNull()
})

it('corners are set one by one, taken back, closed by the first corner, the last one twice, or the key', async () => {
  const corners = [
      [0.1, 0.1],
      [0.9, 0.1],
      [0.5, 0.9]
    ] as const,
    triangle: Area = { kind: 'polygon', points: corners.map(([x, y]) => [x, y]) }
  const set = (): void => corners.forEach(([x, y]) => hand.press({ x, y }))
  for (const close of [
    () => hand.press({ x: 0.105, y: 0.095 }),
    () => hand.press({ x: 0.5, y: 0.9 }),
    () => hand.close()
  ]) {
    expect(
      await drawn(pencil.drawArea('polygon'), () => {
        set()
        close()
      })
    ).toEqual(triangle)
  }
  expect(
    await drawn(pencil.drawArea('polygon'), () => {
      hand.press({ x: 0.3, y: 0.3 })
      hand.takeBack()
      set()
      hand.close()
    })
  ).toEqual(triangle)
})

it('a lasso keeps the shape that was drawn in far fewer corners', async () => {
  const circle = Array.from(
    { length: 400 },
    (_, i) => [0.5 + 0.3 * Math.cos((2 * Math.PI * i) / 400), 0.5 + 0.3 * Math.sin((2 * Math.PI * i) / 400)] as const
  )
  const area = (await drawn(pencil.drawArea('lasso'), () => drag(circle)))!
  expect(area.kind === 'polygon' && area.points.length).toBeLessThan(60)
  for (let i = 0; i < 360; i += 7) {
    const at = (r: number): readonly [number, number] => [0.5 + r * Math.cos(i), 0.5 + r * Math.sin(i)]
    expect([areaHolds(area, ...at(0.294)), areaHolds(area, ...at(0.306))], `at ${i}`).toEqual([true, false])
  }
})

it('a long stroke is kept to its last place, by no more than it needs; an arrow by its ends; a point', async () => {
  const line = Array.from({ length: 1100 }, (_, i) => [i / 1200, 0.5] as const)
  const stroke = (await drawn(pencil.drawMark('stroke'), () => drag(line))) as Extract<Mark, { kind: 'stroke' }>
  expect(stroke.points.length).toBeLessThanOrEqual(251)
  expect([stroke.points[0], stroke.points.at(-1)]).toEqual([
    [0, 0.5, 0.5],
    [1099 / 1200, 0.5, 0.5]
  ])
  expect(
    await drawn(pencil.drawMark('arrow'), () =>
      drag([
        [0.1, 0.2],
        [0.4, 0.4],
        [0.6, 0.7]
      ])
    )
  ).toEqual({ kind: 'arrow', from: [0.1, 0.2], to: [0.6, 0.7] })
  expect(await drawn(pencil.drawMark('point'), () => hand.press({ x: 1.4, y: 0.25 }))).toEqual({
    kind: 'point',
    at: [1, 0.25]
  })
})

it('another tool taken up in the middle drops what was begun', async () => {
  const first = pencil.drawArea('rectangle')
  await nextTick()
  hand.press({ x: 0.1, y: 0.1 })
  hand.move({ x: 0.5, y: 0.5 })
  const second = pencil.drawArea('lasso')
  await nextTick()
  expect([await first, pencil.sketch]).toEqual([null, null])
  hand.lift() // the button of the first box comes up only now
  expect(pencil.tool).toBe('lasso')
  pencil.drop()
  expect(await second).toBeNull()
})
