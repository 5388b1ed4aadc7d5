/** The twelve named steps of each wheel, clockwise from yellow at the top, 30° apart. */
export type WheelName = 'painter' | 'process' | 'perceptual'
export const WHEEL_NAMES: readonly WheelName[] = ['painter', 'process', 'perceptual']

export const PAINTER_STEPS = [
  'yellow',
  'yellow-orange',
  'orange',
  'red-orange',
  'red',
  'red-violet',
  'violet',
  'blue-violet',
  'blue',
  'blue-green',
  'green',
  'yellow-green'
] as const

export const PROCESS_STEPS = [
  'yellow',
  'orange',
  'red',
  'rose',
  'magenta',
  'violet',
  'blue',
  'azure',
  'cyan',
  'spring-green',
  'green',
  'chartreuse'
] as const

export type StepName = (typeof PAINTER_STEPS)[number] | (typeof PROCESS_STEPS)[number]

/** Index 0–11 of the step nearest a position in degrees. */
export const stepIndex = (positionDeg: number): number => ((Math.round(positionDeg / 30) % 12) + 12) % 12

export type Rank = 'primary' | 'secondary' | 'tertiary'

/** Primary, secondary or tertiary on the painter wheel (common practice, no source). */
export function rankOf(step: StepName): Rank | null {
  const index = (PAINTER_STEPS as readonly string[]).indexOf(step)
  if (index < 0) return null
  return index % 4 === 0 ? 'primary' : index % 4 === 2 ? 'secondary' : 'tertiary'
}

/**
 * The two hues a mixed hue is made from on the painter wheel: the primaries around a secondary,
 * the primary and secondary around a tertiary. A primary has none.
 */
export function parentsOf(step: StepName): readonly [StepName, StepName] | null {
  const index = (PAINTER_STEPS as readonly string[]).indexOf(step)
  const rank = rankOf(step)
  if (rank === null || rank === 'primary') return null
  const reach = rank === 'secondary' ? 2 : 1
  return [PAINTER_STEPS[(index + 12 - reach) % 12], PAINTER_STEPS[(index + reach) % 12]]
}
