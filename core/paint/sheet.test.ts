/** A swatch sheet comes back painted and photographed: each box is read as the colour it was painted with. */
import { beforeAll, describe, expect, it } from 'vitest'
import { differenceOf } from '../colour/difference'
import { convertLinearToLab } from '../colour/lab'
import { linearOfHex } from '../colour/srgb'
import { seededRandom } from '../numeric/random'
import type { Raster } from '../picture/raster'
import { SEEING } from '../../shared/printed-marks'
import { PLAIN_SHOT } from '../../tests/sheets/filled'
import { paint, printed } from '../../tests/sheets/painter'
import { photograph } from '../../tests/sheets/photographer'
import { decoded } from '../../tests/sheets/scenes'
import { MOST_ON_SHEET, readSwatchCode, readSwatches, swatchSheet, type SwatchOutcome } from './sheet'

const HEXES = [
  '#e98624',
  '#b79dbb',
  '#3a3444',
  '#7a7436',
  '#dbbf9f',
  '#725a5c',
  '#2a78a8',
  '#b22e4c',
  '#4f7d52',
  '#c9b06a'
]
const SWATCHES = HEXES.map((hex, i) => ({ id: 700 + i, hex, words: `${i + 1} burnt sienna · 2 ultramarine · 9 white` }))
/** The last is left empty. */
const PAINTED = SWATCHES.slice(0, -1)

describe('a painted swatch sheet', () => {
  let photo: Raster, outcome: SwatchOutcome
  beforeAll(async () => {
    const sheet = swatchSheet('a4', SWATCHES),
      // Painted otherwise than reckoned: what is read is the paint, not the print beside it.
      fills = new Map(PAINTED.map(({ id }, i) => [`${id}`, linearOfHex(HEXES[(i + 3) % HEXES.length]!)]))
    const flat = paint(await printed(sheet), { boxes: sheet.boxes, fills }, seededRandom(3))
    photo = await decoded((await photograph(flat, PLAIN_SHOT, seededRandom(4))).jpeg)
    outcome = readSwatches(photo, SEEING)
  }, 90_000)

  it('is read box by box, the empty one left out', () => {
    if (outcome.kind !== 'read') throw new Error(outcome.reason)
    expect(outcome.swatches.map(s => s.id)).toEqual(PAINTED.map(s => s.id))
    const offs = outcome.swatches.map(({ hex }, i) =>
      differenceOf(
        convertLinearToLab(linearOfHex(hex)),
        convertLinearToLab(linearOfHex(HEXES[(i + 3) % HEXES.length]!))
      )
    )
    expect(offs.reduce((sum, v) => sum + v, 0) / offs.length).toBeLessThan(2.5)
    expect(Math.max(...offs)).toBeLessThan(6)
  })

  it('is said not to be one where it is none, or its code is covered', () => {
    const blank = { ...photo, data: new Uint8ClampedArray(photo.data.length).fill(200) }
    expect(readSwatches(blank, SEEING)).toMatchObject({
      kind: 'unread',
      reason: expect.stringContaining('corner marks')
    })
    expect(readSwatchCode('CR1.wheel.p.x.u.a.3')).toBeNull()
    expect(readSwatchCode(swatchSheet('letter', SWATCHES).text)).toEqual({
      paper: 'letter',
      ids: SWATCHES.map(s => s.id)
    })
  })

  it('holds no more than its code can say', () => {
    const many = Array.from({ length: MOST_ON_SHEET + 1 }, (_, id) => ({ id, hex: '#777777', words: '' }))
    expect(() => swatchSheet('a4', many)).toThrow('between one')
    expect(() => swatchSheet('a4', [])).toThrow('between one')
  })
})
