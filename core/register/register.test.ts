/**
 * Registering on pairs whose truth is known, a few of each kind (two hundred in `npm run register`); what it stands on
 * against plain definitions; and what must never be believed.
 */
import { describe, expect, it } from 'vitest'
import { homographyOf, inverse, through, times } from '../numeric/homography'
import { gaussian, seededRandom } from '../numeric/random'
import { lumaPlane } from '../picture/luma'
import { createRaster, type Raster } from '../picture/raster'
import { PIECES } from '../../demo/manifest'
import { renderPiece } from '../../demo/render'
import { flat, fog } from '../../tests/register/bases'
import { loaded, pairOf, type Pair } from '../../tests/register/pairs'
import { createComplex, transform, transformBack } from './fourier'
import { register, type Registration } from './register'

const demo = async (key: string): Promise<Raster> => loaded(await renderPiece(PIECES.find(p => p.key === key)!), 720)
/** The worst corner, of the new picture's diagonal. */
function off({ corners }: Registration, { next, corners: truth }: Pair): number {
  if (!corners) return 1
  return Math.max(
    ...corners.map(
      (c, i) =>
        Math.hypot((c.x - truth[i]!.x) * next.width, (c.y - truth[i]!.y) * next.height)
        / Math.hypot(next.width, next.height)
    )
  )
}

describe('a new version of the same picture', () => {
  it.each([
    ['ferry', 101],
    ['fog', 102],
    ['steps', 5],
    ['gull', 4]
  ])(
    '%s: repainted in part, photographed anew, lies where it lies',
    async (key, seed) => {
      const old = await demo(key),
        pair = await pairOf(old, await demo('market'), { random: seededRandom(seed) }),
        found = register(lumaPlane(old), lumaPlane(pair.next))
      expect(found.match).not.toBe('another')
      expect(off(found, pair)).toBeLessThan(0.004)
    },
    60_000
  )

  it('of a few plain shapes is found too', async () => {
    for (const seed of [1, 2, 6]) {
      const old = flat(seed),
        pair = await pairOf(old, flat(seed + 20), { random: seededRandom(400 + seed) })
      expect(off(register(lumaPlane(old), lumaPlane(pair.next)), pair)).toBeLessThan(0.01)
    }
  }, 60_000)

  it('through colour that compression smeared, and in fog, where nothing has an edge', async () => {
    const worst = async (old: Raster, seed: number): Promise<number> => {
      const pair = await pairOf(old, flat(8), { random: seededRandom(seed) })
      return off(register(lumaPlane(old), lumaPlane(pair.next)), pair)
    }
    expect(await worst(flat(5), 271)).toBeLessThan(0.003)
    for (const seed of [0, 3, 4, 6]) expect(await worst(fog(seed), 500 + seed)).toBeLessThan(0.005)
  }, 60_000)

  it('that is the same file lies on itself to a hundredth of a pixel', async () => {
    const old = lumaPlane(await demo('lemons')),
      { match, corners } = register(old, old)
    expect(match).toBe('sure')
    corners!.forEach((c, i) => {
      expect(Math.abs(c.x - [0, 1, 1, 0][i]!)).toBeLessThan(1e-4)
      expect(Math.abs(c.y - [0, 0, 1, 1][i]!)).toBeLessThan(1e-4)
    })
  }, 30_000)
})

describe('what is not believed', () => {
  it('another picture is no version of this one', async () => {
    const pictures = await Promise.all(['ferry', 'lemons', 'self', 'market'].map(demo))
    for (const [i, old] of pictures.entries())
      expect(register(lumaPlane(old), lumaPlane(pictures[(i + 1) % pictures.length]!)).match).toBe('another')
  }, 60_000)

  it('a pattern that repeats may lie anywhere, stripes slide along themselves, an empty sheet says nothing', () => {
    const painted = (at: (x: number, y: number) => number): Raster => {
      const raster = createRaster(600, 420)
      for (let y = 0; y < 420; y++)
        for (let x = 0; x < 600; x++) raster.data.set([at(x, y), at(x, y), at(x, y), 255], 4 * (y * 600 + x))
      return raster
    }
    const bricks = (shift: number) =>
      painted((x, y) => ((y + 6) % 30 < 4 || (x + shift + 30 * (Math.floor((y + 6) / 30) % 2)) % 60 < 4 ? 200 : 110))
    const stripes = (shift: number) => painted((_, y) => (Math.floor((y + shift) / 40) % 2 ? 190 : 90))
    for (const [old, next] of [
      [bricks(0), bricks(25)],
      [stripes(0), stripes(13)],
      [painted(() => 128), painted(() => 140)]
    ] as const)
      expect(register(lumaPlane(old), lumaPlane(next)).match).not.toBe('sure')
  }, 60_000)
})

describe('what it stands on', () => {
  it('a transform is what its sum says, and comes back', () => {
    const n = 8,
      random = seededRandom(2),
      of = createComplex(n)
    for (let i = 0; i < n * n; i++) {
      of.re[i] = gaussian(random)
      of.im[i] = gaussian(random)
    }
    const plain = { re: of.re.slice(), im: of.im.slice() }
    transform(of, n)
    for (const [u, v] of [
      [0, 0],
      [3, 1],
      [7, 6]
    ] as const) {
      let re = 0,
        im = 0
      for (let y = 0; y < n; y++)
        for (let x = 0; x < n; x++) {
          const turn = (-2 * Math.PI * (u * x + v * y)) / n,
            i = y * n + x
          re += plain.re[i]! * Math.cos(turn) - plain.im[i]! * Math.sin(turn)
          im += plain.re[i]! * Math.sin(turn) + plain.im[i]! * Math.cos(turn)
        }
      // Columns lie as rows.
      expect(of.re[u * n + v]).toBeCloseTo(re, 9)
      expect(of.im[u * n + v]).toBeCloseTo(im, 9)
    }
    transformBack(of, n)
    for (let i = 0; i < n * n; i++) expect(of.re[i]! / n / n).toBeCloseTo(plain.re[i]!, 9)
    expect(() => transform(createComplex(6), 6)).toThrow(RangeError)
  })

  it('a map and its way back are nothing', () => {
    const map = homographyOf(
        [
          { x: 0, y: 0 },
          { x: 10, y: 0 },
          { x: 10, y: 8 },
          { x: 0, y: 8 }
        ],
        [
          { x: 1, y: 2 },
          { x: 11, y: 1 },
          { x: 12, y: 9 },
          { x: 0, y: 8 }
        ]
      )!,
      both = times(inverse(map)!, map)
    const at = through(both, { x: 3, y: 5 })
    expect(at.x).toBeCloseTo(3, 9)
    expect(at.y).toBeCloseTo(5, 9)
    expect(inverse([1, 2, 0, 2, 4, 0, 0, 0, 1])).toBeNull()
  })
})
