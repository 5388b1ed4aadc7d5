/** One filled worksheet, photographed plainly: for tests of what becomes of it. */
import { PLAIN_SETTINGS, type ExerciseKey, type Settings } from '../../core/exercise'
import { homographyOf, through, type Point } from '../../core/numeric/homography'
import { worksheetOf } from '../../core/exercise/worksheet/layout'
import { worksheetSvg } from '../../core/exercise/worksheet/svg'
import type { Worksheet } from '../../core/exercise/worksheet/worksheet'
import { seededRandom } from '../../core/numeric/random'
import type { Raster } from '../../core/picture/raster'
import { PRINTING } from '../../shared/printed-marks'
import { paint, printed } from './painter'
import { photograph, type Shot } from './photographer'
import { fillsFor } from './scenes'

/** Held in a hand at a table, in warm light from one side. */
export const PLAIN_SHOT: Shot = {
  width: 1500,
  height: 2000,
  tilt: 12,
  turn: -9,
  lean: 5,
  fill: 0.86,
  falloff: 1.5,
  from: 0.6,
  cast: [1.14, 1, 0.86],
  exposure: 0.6,
  blur: 0.7,
  contrast: 1.08,
  noise: 0.004,
  quality: 88
}

interface Asked {
  readonly exercise: ExerciseKey
  readonly settings: Partial<Settings>
  readonly number: number
  readonly name?: string
  /** As it was sent to be printed; drawn anew without. */
  readonly svg?: string
  /** What its printer makes of it. */
  readonly through?: (print: Raster) => Raster
  /** Whose. */
  readonly printer?: number
}

export async function filledSheet({
  exercise,
  settings,
  number,
  name,
  svg,
  printer,
  through = print => print
}: Asked): Promise<{ sheet: Worksheet; jpeg: Buffer; corners: Point[] }> {
  const sheet = worksheetOf({
      exercise,
      settings: { ...PLAIN_SETTINGS, ...settings },
      paper: 'a4',
      number,
      name,
      printer
    }),
    random = seededRandom(number)
  const painted = paint(
    through(await printed(sheet, svg ?? worksheetSvg(sheet, PRINTING))),
    { boxes: sheet.boxes, fills: fillsFor(sheet, random) },
    random
  )
  return { sheet, ...(await photograph(painted, PLAIN_SHOT, random)) }
}

/** Outer corners of its four marks in a photograph. @param corners of its paper there, clockwise from the top left. */
export function outerMarks({ width, height, markers }: Worksheet, corners: readonly Point[]): Point[] {
  const paper = [
    { x: 0, y: 0 },
    { x: width, y: 0 },
    { x: width, y: height },
    { x: 0, y: height }
  ]
  const map = homographyOf(paper, corners)!
  return markers.map(m => through(map, { x: m.corner % 3 === 0 ? m.x : m.x + m.w, y: m.corner < 2 ? m.y : m.y + m.h }))
}
