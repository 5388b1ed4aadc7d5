/** Recipes that the work asks for, from a box as a class might own: facts of the trade (common practice, no source). */
import { describe, expect, it } from 'vitest'
import { differenceOf } from '../../colour/difference'
import { convertLinearToLab, valueOfLinear } from '../../colour/lab'
import { hexOfLinear, linearOfHex } from '../../colour/srgb'
import { PAINTER_ANCHORS } from '../../wheel/painter'
import { CLASS_BOX as BOX, owned } from '../../testing/box'
import { cautionsFor } from '../cautions'
import { readPaintList, writePaintList } from '../gpl'
import { lackingFor } from '../lacking'
import { mixtureOf, stepsBetween } from '../mixture'
import { boxOf, isBlack, type OwnPaint } from '../own'
import { pigmentsOf } from '../pigments'
import { recipesFor } from '../recipes'
import { darksAt } from './dark'
import { mudOf } from './mud'
import { mutedOf } from './muted'
import { wheelOfPaints } from './reach'
import { shadowOf } from './shadow'

const own = boxOf(BOX)
const off = (p: string, q: string): number =>
  differenceOf(convertLinearToLab(linearOfHex(p)), convertLinearToLab(linearOfHex(q)))

describe('muted on purpose', () => {
  it.each(['ultramarine', 'warm yellow', 'warm red', 'phthalocyanine green'])(
    '%s goes to grey in even steps by one way, its value standing still',
    name => {
      const { steps, value } = mutedOf(
        own.own.findIndex(p => p.name === name),
        own
      )
      expect(steps).toHaveLength(5)
      expect(new Set(steps.flatMap(s => s.parts.map(p => p.name))).size).toBeLessThanOrEqual(4)
      for (const [k, { hex, chroma, deltaE }] of steps.entries()) {
        expect(Math.abs(valueOfLinear(linearOfHex(hex)) - value)).toBeLessThan(3)
        if (k) expect(deltaE).toBeLessThan(3)
        expect(Math.abs(chroma - (steps[0]!.chroma * (4 - k)) / 4)).toBeLessThan(0.015)
      }
    }
  )

  it('every colour of the painter’s wheel reaches grey with its opposite and one more at most', () => {
    const wheel = boxOf<OwnPaint>(
      PAINTER_ANCHORS.map((masstone, i) => ({ name: `${i}`, medium: 'other', pigment: '', masstone, tint: null }))
    )
    for (let i = 0; i < 12; i++) expect(mutedOf(i, wheel).steps.at(-1)!.chroma).toBeLessThan(0.04)
  })
})

it('darks are mixed without black, warm and cool told apart, and as dark as these paints go', () => {
  const darks = darksAt(24, BOX)
  expect(darks.flatMap(d => d.recipe!.parts.map(p => p.name))).not.toContain('carbon black')
  const [warm, neutral, cool] = darks.map(d => convertLinearToLab(linearOfHex(d.recipe!.hex)))
  for (const [L] of [warm!, neutral!, cool!]) expect(Math.abs(L - 24)).toBeLessThan(4)
  expect(warm![2]).toBeGreaterThan(neutral![2] + 4)
  expect(cool![2]).toBeLessThan(neutral![2] - 4)
  expect(darksAt(24, BOX.filter(isBlack))[0]!.recipe).toBeNull()
})

it('burnt sienna and a cool blue go to mud; yellow and blue, red and yellow do not', () => {
  const pairs = mudOf(own, 'painter').map(({ pair }) => pair.map(i => own.own[i]!.name).join('+'))
  expect(pairs).toContain('burnt sienna+cerulean blue')
  expect(pairs).not.toContain('warm yellow+warm red')
  expect(pairs).not.toContain('lemon yellow+cerulean blue')
})

it('the wheel from two reds, two yellows, two blues is nearly whole; from three earths most of it is missing', () => {
  const reached = (box: OwnPaint[]): string[] =>
    wheelOfPaints(boxOf(box), 'painter').flatMap(s => (s.reached ? [s.step] : []))
  expect(reached(BOX).length).toBeGreaterThanOrEqual(11)
  const earths = reached(owned('yellow ochre', 'burnt sienna', 'ultramarine', 'titanium white'))
  expect(earths).toContain('blue-violet')
  for (const step of ['red', 'red-violet', 'violet', 'green', 'yellow']) expect(earths).not.toContain(step)
})

describe('a shadow', () => {
  it('under the picture’s own light is as much darker and cooler as the picture’s is', () => {
    const cool = shadowOf('#d4372c', { lit: '#e8dcc8', shade: '#6a7080' })
    expect(cool.warmer).toBeLessThan(-10)
    expect(off(shadowOf('#e8dcc8', { lit: '#e8dcc8', shade: '#6a7080' }).hex, '#6a7080')).toBeLessThan(0.5)
  })
  it('is no shadow where it is lighter', () =>
    expect(() => shadowOf('#d4372c', { lit: '#202020', shade: '#808080' })).toThrow('pick the lit one first'))
})

it('says which paint would help where one does, and none where the box is enough', () => {
  const dull = owned('yellow ochre', 'burnt sienna', 'ultramarine', 'titanium white'),
    wanted = linearOfHex('#c2286a'),
    left = recipesFor(wanted, boxOf(dull).box, { count: 1 })[0]!.off
  const found = lackingFor(wanted, dull, left)!
  expect(['PV19', 'PR122', 'PR83', 'PR170']).toContain(found.pigment.index)
  expect(found.off).toBeLessThan(left / 2)
  expect(lackingFor(linearOfHex('#8a8a80'), BOX, 0.4)).toBeNull()
})

describe('lists', () => {
  it('of paints go out as .gpl and come back with their tints', () =>
    expect(readPaintList(writePaintList('Ada’s box', BOX))).toEqual(
      BOX.map(({ name, masstone, tint }) => ({ name, masstone, tint }))
    ))
  it.each([
    ['a,b,c', 'not a .gpl'],
    ['GIMP Palette\nName: x\n', 'no colour']
  ])('that are none are refused with a reason', (text, why) => expect(() => readPaintList(text)).toThrow(why))
  it('know pigments as they stand on a tube', () => {
    expect(pigmentsOf('pb 29').map(p => p.name)).toEqual(['ultramarine'])
    expect(pigmentsOf('PB15:3, PW6').map(p => p.index)).toEqual(['PW6', 'PB15:3'])
    expect(pigmentsOf('')).toEqual([])
  })
})

it('cautions name what is toxic in the box once, then the medium’s, and defer to the label', () => {
  const said = cautionsFor(owned('cadmium red', 'cadmium yellow', 'cerulean blue'))
  expect(said.filter(s => s.startsWith('Cadmium'))).toHaveLength(1)
  expect(said.filter(s => s.startsWith('Cobalt'))).toHaveLength(1)
  expect(said.some(s => s.includes('label'))).toBe(true)
  expect(said.some(s => s.includes('solvent'))).toBe(false)
  expect(cautionsFor([{ name: 'flake white', pigment: '', medium: 'oil' }])[0]).toContain('Lead')
  expect(cautionsFor([])).toEqual([])
})

it('a strip goes from one paint to the other in parts of the brush, and a mixture of nothing is none', () => {
  const one = (i: number, amount = 1) => ({ paint: BOX[i]!, amount }),
    steps = stepsBetween([one(0), one(1)], 9)
  expect(steps.map(s => s.parts.join(':'))[2]).toBe('6:2')
  expect(off(steps[0]!.hex, BOX[0]!.masstone)).toBeLessThan(0.5)
  expect(off(steps[8]!.hex, BOX[1]!.masstone)).toBeLessThan(0.5)
  // Of three, the others go in together, in their own proportion.
  const three = stepsBetween([one(0), one(1, 2), one(3, 4)], 5)
  expect(three[4]!.hex).toBe(mixtureOf([one(1), one(3, 2)]))
  expect(mixtureOf([{ paint: BOX[0]!, amount: 0 }])).toBeNull()
  expect(hexOfLinear(linearOfHex(mixtureOf([{ paint: BOX[0]!, amount: 2 }])!))).toBe(BOX[0]!.masstone)
})
