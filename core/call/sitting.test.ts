/** Common practice, no source: a group critique goes round once, comes back to what was left, and forgets nothing. */
import { expect, it } from 'vitest'
import { begun, picked, stepped, STEPS, type Queue } from './sitting'
import { seededRandom } from '../numeric/random'

const five = (): Queue => begun([3, 1, 4, 5, 2].map((id, place) => ({ id, place, standing: 'waiting' })))

it('goes through them in their order, and is over when none waits', () => {
  const seen: (number | null)[] = []
  let queue = five()
  for (; queue.up !== null; queue = stepped(queue, 'next')) seen.push(queue.up)
  expect(seen).toEqual([3, 1, 4, 5, 2])
  expect(queue.pieces.every(p => p.standing === 'said')).toBe(true)
})

it('brings what is left for later behind the others, and what is parked only by hand', () => {
  let queue = stepped(five(), 'later')
  queue = stepped(queue, 'park')
  const seen: (number | null)[] = []
  for (; queue.up !== null; queue = stepped(queue, 'next')) seen.push(queue.up)
  expect(seen).toEqual([4, 5, 2, 3])
  queue = picked(queue, 1)
  expect(queue.up).toBe(1)
  expect(stepped(queue, 'next')).toMatchObject({ up: null })
})

it('keeps the only one that waits, and the place of one that another was picked before', () => {
  const alone = begun([{ id: 7, place: 0, standing: 'waiting' }])
  expect(stepped(alone, 'later').up).toBe(7)
  expect(stepped(picked(five(), 5), 'next').up).toBe(3)
})

it('loses none and doubles none, whatever is pressed', () => {
  const random = seededRandom(4)
  for (let run = 0; run < 200; run++) {
    let queue = five()
    for (let i = 0; i < 30; i++)
      queue =
        random() < 0.2 || queue.up === null
          ? picked(queue, 1 + Math.floor(5 * random()))
          : stepped(queue, STEPS[Math.floor(3 * random())])
    expect(queue.pieces.map(p => p.id).sort()).toEqual([1, 2, 3, 4, 5])
    expect(new Set(queue.pieces.map(p => p.place)).size).toBe(5)
    const up = queue.pieces.find(p => p.id === queue.up)
    expect(up ? up.standing : queue.pieces.some(p => p.standing === 'waiting')).toBe(up ? 'waiting' : false)
  }
})
