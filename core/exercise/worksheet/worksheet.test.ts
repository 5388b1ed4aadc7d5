/** Every worksheet, on both papers and all wheels: what is printed finds room, can be painted and can be read. */
import { describe, expect, it } from 'vitest'
import { EXERCISE_KEYS } from '../shelf'
import { PLAIN_SETTINGS } from '../settings'
import { WHEEL_NAMES } from '../../wheel/steps'
import { readCode, readPrinterCode, writeCode, writePrinterCode } from './code'
import { TEXT } from './frame'
import { worksheetOf } from './layout'
import { paperSpots } from '../reader/spots'
import { PAPERS, type Place } from './worksheet'

/**
 * Printers leave so many millimetres white; a box is a thumb wide, a letter can be read by a child. The issue's own
 * figures; common practice, no source.
 */
const WHITE = 8,
  BOX = 15,
  POINTS = 8

const apart = (p: Place, q: Place): boolean =>
  p.x + p.w <= q.x + 1e-6 || q.x + q.w <= p.x + 1e-6 || p.y + p.h <= q.y + 1e-6 || q.y + q.h <= p.y + 1e-6

describe.each(PAPERS)('on %s', paper => {
  it.each(EXERCISE_KEYS)('%s has room for all of it', exercise => {
    for (const wheel of WHEEL_NAMES)
      for (const hue of [null, 0, 210]) {
        const sheet = worksheetOf({
          exercise,
          settings: { ...PLAIN_SETTINGS, wheel, hue },
          paper,
          name: 'Maximilian Alexander von Hohenfeld'
        })
        const { width, height, boxes, frames, greys, markers, codePlace, lines } = sheet
        for (const box of boxes) expect(Math.min(box.w, box.h), box.name).toBeGreaterThanOrEqual(BOX)
        expect(new Set(boxes.map(b => b.name)).size).toBe(boxes.length)
        const places = [...boxes, ...frames, ...greys, ...markers, codePlace]
        for (const p of places) {
          expect(Math.min(p.x, p.y, width - p.x - p.w, height - p.y - p.h)).toBeGreaterThanOrEqual(WHITE)
        }
        places.forEach((p, i) => places.slice(i + 1).forEach(q => expect(apart(p, q)).toBe(true)))
        for (const line of lines) {
          expect(line.size).toBeGreaterThanOrEqual(POINTS)
          // 0.48 em a letter: the shipped sans as it was measured in print.
          const w = 0.48 * 0.3528 * line.size * line.text.length
          expect(w, line.text).toBeLessThanOrEqual(line.width * 1.12 + 1)
          expect(line.x + (line.middle ? w / 2 : w)).toBeLessThanOrEqual(width - 2)
        }
        // Enough bare paper all over it for the light to be known.
        const spots = paperSpots(sheet)
        for (const [left, top] of [
          [0, 0],
          [1, 0],
          [0, 1],
          [1, 1]
        ] as const)
          expect(
            spots.filter(s => s.x > width / 2 === Boolean(left) && s.y > height / 2 === Boolean(top)).length
          ).toBeGreaterThan(20)
      }
  })
})

it('sets nothing smaller than can be read', () => {
  expect(Math.min(...Object.values(TEXT))).toBeGreaterThanOrEqual(POINTS)
})

it('says in its code which sheet it is, and takes no other for one', () => {
  for (const exercise of EXERCISE_KEYS)
    for (const wheel of WHEEL_NAMES) {
      const code = {
        exercise,
        number: 4711,
        settings: { wheel, hue: wheel === 'process' ? null : 330, tolerance: 'tight' },
        paper: 'letter',
        printer: wheel === 'painter' ? 0 : 17
      } as const
      expect(readCode(writeCode(code))).toEqual(code)
    }
  for (const text of [
    '',
    'CR1.opposites.p.400.u.a.1',
    'CR2.opposites.p.0.u.a.1',
    'CR1.nothing.p.0.u.a.1',
    'CR1.opposites.p.0.u.a.-1',
    'CR1.opposites.p.0.u.a.1.2.3',
    'CR1.opposites.p.0.u.a.1.x',
    'CP1.m.a.7',
    'https://x.example'
  ])
    expect(readCode(text)).toBeNull()
  const page = { role: 'own', paper: 'a4', printer: 7 } as const
  expect(readPrinterCode(writePrinterCode(page))).toEqual(page)
  for (const text of ['CP1.x.a.7', 'CP1.o.a', 'CP1.o.a.7.1', 'CR1.opposites.p.0.u.a.1'])
    expect(readPrinterCode(text)).toBeNull()
})
