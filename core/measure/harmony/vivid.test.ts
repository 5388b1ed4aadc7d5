/** What a hue can have at most, against culori's own search of the sRGB gamut (culori is a dev dependency). */
import { clampChroma, oklch } from 'culori'
import { expect, it } from 'vitest'
import { painterHueOfPosition } from '../../wheel/painter'
import { VIVID_ABOVE, VIVID_BOUNDS, VIVID_FROM } from './vivid'

/** The most chroma of a hue over all lightnesses, by culori. */
function mostOf(hue: number): number {
  let most = 0
  for (let l = 0.3; l < 0.99; l += 0.005)
    most = Math.max(most, clampChroma({ mode: 'oklch', l, c: 0.4, h: hue }, 'oklch')!.c)
  return most
}

it('asks seven tenths of the most a hue can have, and never more than 0.15', () => {
  for (const hue of [20, 60, 110, 145, 170, 195, 230, 264, 310]) {
    const bound = Math.min(VIVID_ABOVE, 0.7 * mostOf(hue)),
      at = Math.round(110 - hue + 360) % 360
    expect(VIVID_BOUNDS.perceptual[at], `hue ${hue}`).toBeCloseTo(bound, 2)
    expect(VIVID_BOUNDS.perceptual[at]).toBeGreaterThan(VIVID_FROM)
  }
})

it('is the same bound for one colour on every wheel, to what a bin holds', () => {
  for (let position = 0; position < 360; position += 15) {
    const hue = painterHueOfPosition(position),
      same = VIVID_BOUNDS.perceptual[Math.round(110 - hue + 720) % 360]
    expect(Math.abs(VIVID_BOUNDS.painter[position] - same)).toBeLessThan(0.01)
  }
})

it('lets a full blue-green be vivid, and a soft one not', () => {
  const boundAt = (hex: string): [number, number] => {
    const { c, h } = oklch(hex)!
    return [c, VIVID_BOUNDS.perceptual[Math.round(110 - h! + 720) % 360]]
  }
  const [strong, strongBound] = boundAt('#00c8a0'),
    [soft, softBound] = boundAt('#7fb3a4')
  expect(strong).toBeLessThan(VIVID_ABOVE)
  expect(strong).toBeGreaterThan(strongBound)
  expect(soft).toBeLessThan(softBound)
})
