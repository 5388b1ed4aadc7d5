/**
 * What points at places of the picture without marking them: a reading's places, the route of the eye, picked samples.
 */
import { tagCornerOf } from '~~/core/picture/area'
import type { Point } from '~~/shared/notes'
import type { WallFrame } from './frame'
import { labelOf, outlineOf } from './lines'

export function usePlaces(frame: () => WallFrame) {
  const bench = useBenchStore(),
    sight = useSightStore()
  const placed = (text: string, { x, y }: Point) => {
    const [wx, wy] = frame().toWall(x, y)
    return { text, x: wx, y: wy }
  }
  const points = computed(() => (sight.comparing ? [] : (sight.points ?? [])).map(p => placed(p.label, p)))
  const stops = computed(() =>
    (bench.station === 'focus' ? bench.notes.stops : []).map((area, i) => {
      const [x, y] = frame().toWall(...tagCornerOf(area))
      return { key: i, lines: outlineOf(frame(), area, { dash: [2, 4] }), number: labelOf(String(i + 1), x + 4, y + 4) }
    })
  )
  /** Each material is a letter: plain where it was picked in the light, filled where in the shadow. */
  const samples = computed(() => {
    if (bench.station !== 'light') return []
    const pairs = bench.notes.pairs.flatMap((p, i) => {
      const letter = String.fromCharCode(97 + i)
      return [
        { ...placed(letter, p.lit), dark: false },
        ...(p.shadow ? [{ ...placed(letter, p.shadow), dark: true }] : [])
      ]
    })
    return bench.notes.surroundings ? [...pairs, { ...placed('*', bench.notes.surroundings), dark: false }] : pairs
  })
  return { points, stops, samples }
}
