/** A piece that comes back repaired, photographed anew: critique, new version, and what landed. */
import type { Area } from '../core/picture/area'
import type { CorrectionWritten } from '../shared/critique'
import type { DemoPiece } from './manifest'
import { lightship } from './scenes/lightship'

const words = {
  title: 'The lightship',
  medium: 'gouache',
  about: 'The ship, alone in the fog',
  plannedScheme: null
} as const

export const LIGHTSHIP: DemoPiece = {
  key: 'lightship',
  scene: () => lightship(false),
  learner: 'rosa',
  daysAgo: 14,
  words: { ...words, stage: 'in-progress', question: 'Why does nobody see the ship first?' },
  faults: []
}
/** Photographed by hand: a little aslant, some of the edge lost, a third of a stop lighter. */
export const LIGHTSHIP_AGAIN: DemoPiece = {
  key: 'lightship-again',
  scene: () => lightship(true),
  photographed: { turn: 1.8, lost: 0.03, light: 1.13 },
  learner: 'rosa',
  daysAgo: 0.7,
  words: { ...words, stage: 'finished', question: 'Is it there now?' },
  faults: []
}

const SHIP: Area = {
  kind: 'polygon',
  points: [
    [0.3, 0.58],
    [0.4, 0.57],
    [0.41, 0.49],
    [0.6, 0.49],
    [0.61, 0.57],
    [0.735, 0.57],
    [0.685, 0.69],
    [0.345, 0.695]
  ]
}

/** What was marked on the first version. */
export const LIGHTSHIP_MARKS: readonly CorrectionWritten[] = [
  {
    station: 'values',
    area: SHIP,
    readingId: 'value.separation',
    reason: 'The ship lies within a few steps of the water around it.',
    what: 'The ship merges with the water.',
    todo: 'Lower the hull until it comes away with the eyes half closed.',
    target: { measure: 'separation', atLeast: 15 }
  },
  {
    station: 'values',
    area: null,
    readingId: 'value.range',
    reason: 'Everything lies in the middle tones.',
    what: 'There is no dark and no light to hold on to.',
    todo: 'Let the lamp be the one light, and the ship the one dark.',
    target: { measure: 'range', atLeast: 70 }
  },
  {
    station: 'harmony',
    area: { kind: 'rectangle', x: 0.67, y: 0.34, w: 0.11, h: 0.07 },
    readingId: null,
    reason: 'Nothing near it answers.',
    what: 'The pennant’s pink belongs to nothing.',
    todo: 'Take it toward the warm of the lamp.',
    target: null
  }
]
export const LIGHTSHIP_WORDS = {
  works: 'The shapes are few and large.\nThe mast leads up to the lamp.',
  verdict: 'Begin with V1: a ship that is there. The rest changes with it.'
}
