/** Exercises in value: ladders, and pictures in few masses. */
import { apart, even, large, masses, range } from './checks/value'
import type { Exercise } from './exercise'

const COUNT: Readonly<Record<number, string>> = { 2: 'two', 3: 'three', 5: 'five', 7: 'seven', 9: 'nine' }

/** @param n steps. */
export const ladder = (n: number): Exercise => ({
  title: `Value ladder of ${COUNT[n]}`,
  trains: `Steps from dark to light that are even to the eye: ${COUNT[n]} of them`,
  plan: null,
  keyed: false,
  steps: [
    `Draw a strip of ${COUNT[n]} boxes. Paint the darkest you can mix in the first, and the lightest in the last.`,
    'Mix the middle one, and hold it to both ends with half-closed eyes until it is as far from one as from the other.',
    'Fill the rest by halving what is left. Each box flat, without an outline.',
    'Photograph it in even light, the strip filling the picture.'
  ],
  checks: [masses(n, COUNT[n]!), even(n, 1.5), range(60)]
})

/** @param n masses. @param least steps of L* between two of them. */
const inMasses = (n: number, least: number): Exercise => ({
  title: `${n === 2 ? 'Two' : 'Three'} values`,
  trains: `A picture that reads in ${COUNT[n]} big masses before it has any detail`,
  plan: null,
  keyed: false,
  steps: [
    'Take a subject with a clear light. Squint until the detail goes.',
    `Draw the shapes of ${n === 2 ? 'the dark and of the light' : 'the dark, the middle and the light'}`
      + ' as if cut from paper, joined wherever they touch.',
    `Paint each mass flat in one value. No lines, no blending, no ${n === 2 ? 'third' : 'fourth'} value.`,
    'Look at it from across the room: can it still be told what it is?'
  ],
  checks: [masses(n, COUNT[n]!), apart(n, least), large(n, 0.1)]
})
export const TWO_VALUES = inMasses(2, 30)
export const THREE_VALUES = inMasses(3, 18)
