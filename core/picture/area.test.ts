import { describe, expect, it } from 'vitest'
import { seededRandom } from '../numeric/random'
import { areaHolds, discAt, eachPixel, spansOf, type FractionPoint } from './area'
import { simplify } from './simplify'

describe('areas', () => {
  it('hold exactly the points whose pixels their spans hold', () => {
    const random = seededRandom(4),
      width = 60,
      height = 40
    for (let k = 0; k < 30; k++) {
      const points = Array.from({ length: 3 + Math.floor(random() * 5) }, () => [random(), random()] as const),
        spans = spansOf({ kind: 'polygon', points }, { width, height })
      for (let y = 0; y < height; y++) {
        for (let x = 0; x < width; x++) {
          const row = spans.rows[y - spans.top] ?? [],
            inside = row.some((from, i) => i % 2 === 0 && x >= from && x < row[i + 1]!)
          if (inside !== areaHolds({ kind: 'polygon', points }, (x + 0.5) / width, (y + 0.5) / height))
            throw new Error(`at ${x}, ${y} of ${JSON.stringify(points)}`)
        }
      }
    }
  })

  it("round a point cover a disc's pixels: a sixteen-sided one has 97.4 % of the circle", () => {
    const spans = spansOf(discAt(0.5, { y: 0.5, radius: 0.05, size: { width: 800, height: 600 } }), {
      width: 800,
      height: 600
    })
    const pixels = spans.rows.reduce((sum, row) => sum + row.reduce((n, edge, i) => n + (i % 2 ? edge : -edge), 0), 0)
    expect(pixels / (Math.PI * 50 ** 2)).toBeCloseTo(0.974, 2)
  })
})

it('a hand-drawn line keeps its shape with fewer points', () => {
  const circle: FractionPoint[] = Array.from({ length: 400 }, (_, i) => [
    0.5 + 0.3 * Math.cos((i * Math.PI) / 200),
    0.5 + 0.3 * Math.sin((i * Math.PI) / 200)
  ])
  const kept = simplify([...circle, circle[0]!], 0.003)
  expect(kept.length).toBeLessThan(50)
  // Every point left out lies within the tolerance of the circle's chord: none is farther than that from the radius.
  for (let i = 1; i < kept.length; i++) {
    const mid = [(kept[i - 1]![0] + kept[i]![0]) / 2, (kept[i - 1]![1] + kept[i]![1]) / 2]
    expect(0.3 - Math.hypot(mid[0]! - 0.5, mid[1]! - 0.5)).toBeLessThan(0.0031)
  }
})

describe('a line that crosses itself', () => {
  /**
   * How often a closed line winds about a point, by the angles it is seen under: slow, and another way to the same
   * number.
   */
  const winding = (points: readonly (readonly [number, number])[], x: number, y: number): number =>
    Math.round(
      points.reduce((sum, [x0, y0], i) => {
        const [x1, y1] = points[(i + 1) % points.length]!,
          turn = Math.atan2(y1 - y, x1 - x) - Math.atan2(y0 - y, x0 - x)
        return sum + (turn > Math.PI ? turn - 2 * Math.PI : turn < -Math.PI ? turn + 2 * Math.PI : turn)
      }, 0)
        / (2 * Math.PI)
    )

  it('is filled by the rule asked for: where it winds an odd number of times, or any number but none', () => {
    const random = seededRandom(44),
      width = 40,
      height = 30
    for (let k = 0; k < 40; k++) {
      const points = Array.from({ length: 4 + Math.floor(6 * random()) }, () => [random(), random()] as const)
      for (const rule of ['even-odd', 'non-zero'] as const) {
        const inside = new Uint8Array(width * height)
        eachPixel(spansOf({ kind: 'polygon', points }, { width, height, rule }), i => {
          inside[i]++
        })
        for (let i = 0; i < inside.length; i++) {
          const times = winding(points, ((i % width) + 0.5) / width, (Math.floor(i / width) + 0.5) / height)
          expect(inside[i], `seed 44, polygon ${k}, ${rule}, pixel ${i}`).toBe(
            Number(rule === 'even-odd' ? times % 2 !== 0 : times !== 0)
          )
        }
      }
    }
  })
})
