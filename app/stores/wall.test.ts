import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, expect, it } from 'vitest'
import { PLAIN_VIEW } from '~/wall/frame'
import { useWallStore } from './wall'

let wall: ReturnType<typeof useWallStore>
beforeEach(() => {
  setActivePinia(createPinia())
  wall = useWallStore()
})

it('turns round and round within half a turn either way', () => {
  for (const [by, at] of [
    [90, 90],
    [90, -180],
    [90, -90],
    [90, 0],
    [-1, -1],
    [-180, 179]
  ] as const) {
    wall.turn(by)
    expect(wall.view.angleDeg).toBe(at)
  }
})

it('zooms to forty times and to half, and keeps under the eye what was there', () => {
  wall.change({ panX: 30, panY: -10 })
  wall.zoomBy(2)
  expect([wall.view.zoom, wall.view.panX, wall.view.panY]).toEqual([2, 60, -20])
  for (let i = 0; i < 40; i++) wall.zoomBy(1.25)
  expect(wall.view.zoom).toBe(40)
  for (let i = 0; i < 40; i++) wall.zoomBy(0.8)
  expect(wall.view.zoom).toBe(0.5)
})

it('hangs as a stamp or across the room, back again by the same key, and upright by "fit"', () => {
  wall.mirror()
  wall.hangAs('stamp')
  expect(wall.view).toMatchObject({ hanging: 'stamp', mirrored: true, zoom: 1 })
  wall.hangAs('room')
  wall.hangAs('room')
  expect(wall.view.hanging).toBe('fit')
  wall.fit()
  expect(wall.view).toEqual(PLAIN_VIEW)
})

it('goes through grounds and places of the reference and comes round; the line stays on the wall', () => {
  const grounds = Array.from({ length: 4 }, () => {
    wall.nextGround()
    return wall.ground
  })
  expect(grounds).toEqual(['white', 'black', 'grey', 'white'])
  const places = Array.from({ length: 3 }, () => {
    wall.nextReference()
    return wall.reference
  })
  expect(places).toEqual(['beside', 'under', 'off'])
  wall.toggleDivider()
  wall.divide(7)
  expect(wall.divider).toBe(0.98)
  wall.divide(-1)
  expect(wall.divider).toBe(0.02)
  wall.toggleDivider()
  expect(wall.divider).toBeNull()
})
