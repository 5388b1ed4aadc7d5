/**
 * Versions whose truth is known: what was repaired, by how much, is planted; then the new version is photographed anew.
 * More of them in `npm run landed`.
 */
import { beforeAll, describe, expect, it } from 'vitest'
import { convertLinearToByte, LINEAR_OF_BYTE } from '../colour/srgb'
import { seededRandom } from '../numeric/random'
import type { Raster } from '../picture/raster'
import type { Area } from '../picture/area'
import { PIECES } from '../../demo/manifest'
import { renderPiece } from '../../demo/render'
import { loaded, pairOf, type Change } from '../../tests/register/pairs'
import { nothingKnown } from '../critique/piece/known'
import { DEFAULT_STANDARDS } from '../critique/standards'
import { compareVersions, type Asked } from './compare'
import { believed, hiddenByLight, type Comparison } from './outcome'
import { TARGET_NOISE } from './noise'
import { landingOf } from './verdict'

const KNOWN = { known: nothingKnown('painter'), standards: DEFAULT_STANDARDS } as const
const SOURCE = { format: 'png', width: 1, height: 1 } as const
const HULL: Area = { kind: 'rectangle', x: 0.36, y: 0.6, w: 0.28, h: 0.12 }
const CORNER: Area = { kind: 'rectangle', x: 0, y: 0, w: 0.06, h: 0.08 }
const PHOTOGRAPHED: Change = { geometry: 1, light: 1, repaint: 0 }

/** The light in a place, times so much. */
function relit(raster: Raster, { x, y, w, h }: Extract<Area, { kind: 'rectangle' }>, by: number): Raster {
  const data = new Uint8ClampedArray(raster.data)
  for (let row = Math.round(y * raster.height); row < Math.round((y + h) * raster.height); row++)
    for (let col = Math.round(x * raster.width); col < Math.round((x + w) * raster.width); col++)
      for (let c = 0; c < 3; c++) {
        const i = 4 * (row * raster.width + col) + c
        data[i] = convertLinearToByte(Math.min(1, by * LINEAR_OF_BYTE[data[i]!]!))
      }
  return { width: raster.width, height: raster.height, data }
}

let old: Raster, other: Raster
beforeAll(async () => {
  const of = async (key: string) => loaded(await renderPiece(PIECES.find(p => p.key === key)!))
  ;[old, other] = await Promise.all([of('slipway'), of('market')])
}, 60_000)

async function compared(
  repaired: Raster,
  asked: readonly Asked[],
  change = PHOTOGRAPHED,
  seed = 4
): Promise<Comparison> {
  const { next } = await pairOf(repaired, other, { random: seededRandom(seed), change })
  return compareVersions({ raster: old, source: SOURCE }, { raster: next, source: SOURCE }, { ...KNOWN, asked })
}
const apart = (atLeast: number): Asked => ({ target: { measure: 'separation', atLeast }, area: HULL as Area })

describe('a correction', () => {
  it('is reached, nearer, unchanged or worse by what was done, through a new photograph', async () => {
    const hull = HULL as Extract<Area, { kind: 'rectangle' }>,
      { landed } = believed(await compared(old, [apart(90)])),
      was = landed[0]!.before!.value
    expect(landed[0]!.landing).toBe('unchanged')
    const darker = await compared(relit(old, hull, 0.25), [apart(was + 8), apart(90)])
    const lighter = await compared(relit(old, hull, 4), [apart(was + 8), apart(90)])
    const moved = [darker, lighter].map(c => believed(c).landed[1]!.after!.value - was)
    for (const [i, c] of [darker, lighter].entries()) {
      const [near, far] = believed(c).landed
      expect(far!.landing, `moved ${moved[i]}`).toBe(
        moved[i]! > TARGET_NOISE.separation ? 'nearer' : moved[i]! < -TARGET_NOISE.separation ? 'worse' : 'unchanged'
      )
      if (moved[i] === Math.max(...moved)) expect(near!.landing).toBe('reached')
    }
    // One of both directions takes it away from its ground by far more than a photograph does.
    expect(Math.max(...moved)).toBeGreaterThan(10)
  }, 120_000)

  it('whose place was cropped away cannot be told, nor can any on another picture', async () => {
    const left = Math.round(0.2 * old.width),
      width = old.width - left,
      data = new Uint8ClampedArray(4 * width * old.height)
    for (let y = 0; y < old.height; y++)
      data.set(old.data.subarray(4 * (y * old.width + left), 4 * (y + 1) * old.width), 4 * y * width)
    const asked = [{ target: { measure: 'temperature', atLeast: 90 }, area: CORNER } as const, apart(90)],
      by = (raster: Raster) =>
        compareVersions({ raster: old, source: SOURCE }, { raster, source: SOURCE }, { ...KNOWN, asked })
    const cropped = by({ width, height: old.height, data })
    expect(cropped.registration.match).toBe('sure')
    expect(believed(cropped).landed.map(l => l.landing)).toEqual(['cannot-tell', 'unchanged'])
    const stranger = by(other)
    expect([stranger.registration.match, stranger.light]).toEqual(['another', null])
    expect(believed(stranger).landed.map(l => l.landing)).toEqual(['cannot-tell', 'cannot-tell'])
  }, 60_000)
})

it('says how much lighter the new photograph is, and takes it out', async () => {
  const random = seededRandom(9),
    { next, stops } = await pairOf(old, other, { random, change: PHOTOGRAPHED })
  const found = compareVersions(
    { raster: old, source: SOURCE },
    { raster: next, source: SOURCE },
    { ...KNOWN, asked: [{ target: { measure: 'temperature', atLeast: 90 }, area: HULL }] }
  )
  expect(found.light!.sure).toBe(true)
  expect(Math.abs(found.light!.stops - stops)).toBeLessThan(0.2)
  const moved = ({ landed }: Comparison['seen']): number => Math.abs(landed[0]!.after!.value - landed[0]!.before!.value)
  expect(moved(found.evened!)).toBeLessThan(TARGET_NOISE.temperature)
  expect(moved(found.evened!)).toBeLessThanOrEqual(moved(found.seen) + 0.5)
  // Nothing was repainted: what moved is the light's own, and goes with it.
  expect(found.evened!.moved.map(m => m.id)).toEqual([])
  expect(hiddenByLight(found).map(m => m.id)).toEqual(found.seen.moved.map(m => m.id))
}, 60_000)

it('a verdict follows its bound, its direction and its noise', () => {
  const state = (value: number, reached = false) => ({ value, reached })
  const more = { measure: 'range', atLeast: 70 } as const,
    less = { measure: 'near-black', atMost: 0.02 } as const
  expect([
    landingOf(more, state(40), state(72, true)),
    landingOf(more, state(40), state(60)),
    landingOf(more, state(40), state(42)),
    landingOf(more, state(40), state(30)),
    landingOf(more, state(69), state(71, true)),
    landingOf(more, state(72, true), state(71, true)),
    landingOf(less, state(0.2), state(0.01, true)),
    landingOf(less, state(0.2), state(0.1)),
    landingOf(less, state(0.1), state(0.2)),
    landingOf(less, null, state(0.2))
  ]).toEqual([
    'reached',
    'nearer',
    'unchanged',
    'worse',
    'unchanged',
    'reached',
    'reached',
    'nearer',
    'worse',
    'cannot-tell'
  ])
})
