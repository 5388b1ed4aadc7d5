/** The demo's pictures: whose they are, what was asked, and the fault planted in each. */
import type { Area } from '../core/picture/area'
import type { HandIn } from '../shared/pieces/submission'
import { buoysOpposites, ferryAtDusk, fogOuterMole, harbourSteps, regatta, slipwayStudy } from './scenes/harbour'
import { fivePots, gullCutOut, lemonsAndJug, marketBoards, netLoft, selfEvening } from './scenes/studio'
import type { Scene } from './scenes/svg'

export type Fault =
  | { readonly kind: 'narrow-range' }
  | { readonly kind: 'merges'; readonly name: string; readonly area: Area }
  | { readonly kind: 'flat-black' }
  | { readonly kind: 'equal-vivid' }
  | { readonly kind: 'one-colour' }
  | {
      readonly kind: 'stray-focus'
      readonly intended: Area
      readonly stray: { readonly x: number; readonly y: number }
    }
  | {
      readonly kind: 'leaves-light'
      readonly material: string
      readonly pairs: readonly { name: string; lit: Area; shadow: Area }[]
    }
  | { readonly kind: 'transparent' }

export interface DemoPiece {
  readonly key: string
  readonly scene: () => Scene
  /** What a study was made from. */
  readonly reference?: () => Scene
  /** By hand: degrees it is turned by, share of each side that is lost, times the light. */
  readonly photographed?: { readonly turn: number; readonly lost: number; readonly light: number }
  readonly learner: string
  /** Days before the demo is loaded. */
  readonly daysAgo: number
  readonly words: Pick<HandIn, 'title' | 'stage' | 'medium' | 'question' | 'about' | 'plannedScheme'>
  readonly faults: readonly Fault[]
}

const rectangle = (x: number, y: number, w: number, h: number): Area => ({ kind: 'rectangle', x, y, w, h })

/** The ferry's hull and house, as an instructor would draw them. */
export const FERRY: Area = {
  kind: 'polygon',
  points: [
    [0.26, 0.575],
    [0.365, 0.57],
    [0.37, 0.46],
    [0.405, 0.4],
    [0.55, 0.41],
    [0.595, 0.46],
    [0.6, 0.57],
    [0.7, 0.57],
    [0.665, 0.685],
    [0.31, 0.69]
  ]
}
const HEAD: Area = {
  kind: 'polygon',
  points: [
    [0.34, 0.45],
    [0.36, 0.32],
    [0.5, 0.275],
    [0.64, 0.33],
    [0.66, 0.46],
    [0.63, 0.6],
    [0.5, 0.685],
    [0.38, 0.6]
  ]
}

/** The sailing boat, which the regatta is about. */
export const REGATTA_FOCUS = rectangle(0.22, 0.34, 0.3, 0.42)

/** Centres of the lit and shadow sides of the five pots (see the scene). */
export const POTS = ['clay', 'cream', 'green', 'ochre', 'blue'].map((name, i) => {
  const x = (140 + i * 268) / 1360
  return { name, lit: rectangle(x - 0.035, 0.55, 0.025, 0.12), shadow: rectangle(x + 0.018, 0.55, 0.025, 0.12) }
})

export const PIECES: readonly DemoPiece[] = [
  {
    key: 'ferry',
    scene: ferryAtDusk,
    learner: 'ada',
    daysAgo: 4.2,
    words: {
      title: 'Ferry at dusk',
      stage: 'in-progress',
      medium: 'gouache',
      question: 'The boat does not come away from the water. What do I push?',
      about: 'The last ferry, heavy and dark against a lit sky',
      plannedScheme: 'complementary'
    },
    faults: [{ kind: 'narrow-range' }, { kind: 'merges', name: 'the ferry', area: FERRY }]
  },
  {
    key: 'lemons',
    scene: lemonsAndJug,
    learner: 'bram',
    daysAgo: 3.6,
    words: {
      title: 'Lemons, enamel jug',
      stage: 'finished',
      medium: 'oil',
      question: 'Is the yellow too much?',
      about: 'The lemons',
      plannedScheme: 'complementary'
    },
    faults: []
  },
  {
    key: 'loft',
    scene: netLoft,
    learner: 'ines',
    daysAgo: 3.1,
    words: {
      title: 'Net loft',
      stage: 'finished',
      medium: 'acrylic',
      question: 'Where does your eye go first?',
      about: 'Light falling into a dark room',
      plannedScheme: null
    },
    faults: [{ kind: 'flat-black' }]
  },
  {
    key: 'self',
    scene: selfEvening,
    learner: 'joss',
    daysAgo: 2.8,
    words: {
      title: 'Self, evening',
      stage: 'in-progress',
      medium: 'oil',
      question: 'The head does not come forward.',
      about: 'The face',
      plannedScheme: null
    },
    faults: [{ kind: 'merges', name: 'the head', area: HEAD }]
  },
  {
    key: 'slipway',
    scene: slipwayStudy,
    reference: slipwayStudy,
    learner: 'mika',
    daysAgo: 2.2,
    words: {
      title: 'Slipway study',
      stage: 'study',
      medium: 'gouache',
      question: 'Does the boat hold the picture?',
      about: 'One orange boat in a blue morning',
      plannedScheme: 'complementary'
    },
    faults: []
  },
  {
    key: 'market',
    scene: marketBoards,
    learner: 'rosa',
    daysAgo: 1.9,
    words: {
      title: 'Market boards',
      stage: 'finished',
      medium: 'acrylic',
      question: 'Is it one scheme?',
      about: 'Saturday noise',
      plannedScheme: 'triad'
    },
    faults: [{ kind: 'equal-vivid' }]
  },
  {
    key: 'fog',
    scene: fogOuterMole,
    learner: 'mika',
    daysAgo: 1.4,
    words: {
      title: 'Fog, outer mole',
      stage: 'finished',
      medium: 'watercolour',
      question: 'Too grey?',
      about: 'A boat waiting for the fog to lift',
      plannedScheme: null
    },
    faults: [{ kind: 'one-colour' }, { kind: 'narrow-range' }]
  },
  {
    key: 'regatta',
    scene: regatta,
    learner: 'bram',
    daysAgo: 0.9,
    words: {
      title: 'Regatta, north wall',
      stage: 'in-progress',
      medium: 'gouache',
      question: 'People look at the wall first. Why?',
      about: 'The sailing boat',
      plannedScheme: null
    },
    faults: [{ kind: 'stray-focus', intended: REGATTA_FOCUS, stray: { x: 0.9, y: 0.18 } }]
  },
  {
    key: 'pots',
    scene: fivePots,
    learner: 'joss',
    daysAgo: 0.6,
    words: {
      title: 'Five pots, window light',
      stage: 'study',
      medium: 'oil',
      question: 'One of them looks stuck on.',
      about: 'Afternoon light on five glazes',
      plannedScheme: null
    },
    faults: [{ kind: 'leaves-light', material: 'ochre', pairs: POTS }]
  },
  {
    key: 'gull',
    scene: gullCutOut,
    learner: 'ines',
    daysAgo: 0.3,
    words: {
      title: 'Gull for the poster',
      stage: 'study',
      medium: 'digital',
      question: 'Are the whites right?',
      about: 'The gull alone',
      plannedScheme: null
    },
    faults: [{ kind: 'transparent' }]
  },
  {
    key: 'steps',
    scene: harbourSteps,
    learner: 'ada',
    daysAgo: 12,
    words: {
      title: 'Harbour steps',
      stage: 'finished',
      medium: 'gouache',
      question: 'Is the coat too small to matter?',
      about: 'The red coat in the light',
      plannedScheme: null
    },
    faults: []
  },
  {
    key: 'buoys',
    scene: buoysOpposites,
    learner: 'ada',
    daysAgo: 1.1,
    words: {
      title: 'Buoys, opposites',
      stage: 'study',
      medium: 'gouache',
      question: '',
      about: 'Orange in a blue bay',
      plannedScheme: 'complementary'
    },
    faults: []
  }
]

export const pieceNamed = (key: string): DemoPiece => PIECES.find(p => p.key === key)!
