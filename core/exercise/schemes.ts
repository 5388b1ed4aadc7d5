/** Pieces in a colour scheme: each a way of choosing few colours and letting one lead. */
import { accent, coverage, differentSteps, each, leads, stepOff } from './checks/colour'
import { range } from './checks/value'
import type { Exercise } from './exercise'

/** A moderate range or better, so that the colours are carried by values. */
const RANGE = 50
const VALUES = 'Keep lights and darks well apart. Colour cannot do the work of value.'

export const NEIGHBOURS: Exercise = {
  title: 'Neighbours',
  trains: 'Colours that stand side by side on the wheel, and the calm they make together',
  plan: 'analogous',
  keyed: true,
  steps: [
    'Choose three colours in a row on the wheel.',
    'Paint a strip of each by itself, then one strip in which each runs into the next without a seam.',
    'Paint a small piece in the three and what lies between them; let one of them have most of it.',
    VALUES
  ],
  checks: [coverage('analogous', 'three neighbours'), differentSteps(3, 5), range(RANGE)]
}

export const OPPOSITES: Exercise = {
  title: 'Opposites',
  trains: 'Two colours that face each other on the wheel, one leading and one kept for a few small places',
  plan: 'complementary',
  keyed: true,
  steps: [
    'Choose a key colour and find the one facing it on the wheel.',
    'Mix each toward the other in five steps on a scrap, so you know the greys they make.',
    'Paint a small piece: the key colour and its greys for most of it,'
      + ' the opposite in two or three small places where the eye should stop.',
    VALUES
  ],
  checks: [coverage('complementary', 'two opposites'), accent('complementary', 'The opposite'), range(RANGE)]
}

export const ONE_STEP_OFF: Exercise = {
  title: 'One step off the opposite',
  trains: 'An accent that nearly faces the key colour: livelier than a neighbour, softer than an opposite',
  plan: 'near-complementary',
  keyed: true,
  steps: [
    'Choose a key colour, find its opposite, and go one step past it to either side: that is the accent.',
    'Lay the accent beside the key colour, and the true opposite beside it; see which is louder.',
    'Paint a small piece in the key colour and its greys, the accent in two or three small places.',
    VALUES
  ],
  checks: [
    coverage('near-complementary', 'a colour and the one a step off its opposite'),
    accent('near-complementary', 'The accent'),
    stepOff,
    range(RANGE)
  ]
}

export const SPLIT_OPPOSITES: Exercise = {
  title: 'Split opposites',
  trains: 'A key colour with the two neighbours of its opposite, which keep each other company',
  plan: 'split-complementary',
  keyed: true,
  steps: [
    'Choose a key colour and find its opposite; take the steps to its left and right instead of it.',
    'Mix the two with each other and with the key colour, so you know what they make.',
    'Paint a small piece: the key colour leads, the two others share the rest.',
    VALUES
  ],
  checks: [
    coverage('split-complementary', 'a colour and both neighbours of its opposite'),
    each('split-complementary', 'three'),
    leads('split-complementary', 0.5),
    range(RANGE)
  ]
}

export const TRIAD: Exercise = {
  title: 'Triad',
  trains: 'Three colours evenly round the wheel: one leads, two are subdued by value',
  plan: 'triad',
  keyed: true,
  steps: [
    'Choose three colours a third of the wheel apart.',
    'Decide which leads. Make the other two much lighter, much darker or greyer than it.',
    'Paint a small piece; the leader at its own strength, the two others held back.',
    VALUES
  ],
  checks: [
    coverage('triad', 'three colours a third of the wheel apart'),
    each('triad', 'three'),
    leads('triad', 0.5),
    range(RANGE)
  ]
}

export const TWO_PAIRS: Exercise = {
  title: 'Two pairs',
  trains: 'Two pairs of opposites in one piece without a quarrel',
  plan: 'tetrad',
  keyed: true,
  steps: [
    'Choose two colours two steps apart, and the opposites of both.',
    'Decide which of the four leads, and grey the others with their opposites.',
    'Paint a small piece. Where two of them meet at full strength, let it be where the eye should stop.',
    VALUES
  ],
  checks: [coverage('tetrad', 'two pairs of opposites'), each('tetrad', 'four'), leads('tetrad', 0.4), range(RANGE)]
}
