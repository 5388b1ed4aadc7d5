/** One filled worksheet, photographed plainly: for tests of what becomes of it. */
import { PLAIN_SETTINGS, type ExerciseKey, type Settings } from '../../core/exercise'
import { worksheetOf } from '../../core/exercise/worksheet/layout'
import { worksheetSvg } from '../../core/exercise/worksheet/svg'
import type { Worksheet } from '../../core/exercise/worksheet/worksheet'
import { seededRandom } from '../../core/numeric/random'
import { PRINTING } from '../../server/work/worksheet/libraries'
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
}

export async function filledSheet({
  exercise,
  settings,
  number,
  name,
  svg
}: Asked): Promise<{ sheet: Worksheet; jpeg: Buffer }> {
  const sheet = worksheetOf({ exercise, settings: { ...PLAIN_SETTINGS, ...settings }, paper: 'a4', number, name }),
    random = seededRandom(number)
  const painted = paint(
    await printed(sheet, svg ?? worksheetSvg(sheet, PRINTING)),
    { boxes: sheet.boxes, fills: fillsFor(sheet, random) },
    random
  )
  return { sheet, jpeg: (await photograph(painted, PLAIN_SHOT, random)).jpeg }
}
