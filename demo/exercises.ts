/** What the class does with an exercise that was set to all of it but one: in every state that there is. */
import type { DemoPiece } from './manifest'
import { moorings } from './scenes/moorings'

/** Who has it, in the order it is set; each gets another key colour. */
export const WHO = ['bram', 'ines', 'joss', 'mika', 'rosa'] as const

/** @property sails how much there is of the opposite: 1 as asked. */
const HANDED_IN: readonly {
  readonly who: string
  readonly sails: number
  readonly daysAgo: number
  readonly title: string
}[] = [
  { who: 'bram', sails: 3.4, daysAgo: 2.4, title: 'Moorings in sun' },
  { who: 'ines', sails: 4.2, daysAgo: 1.8, title: 'Moorings, wine and leaf' },
  { who: 'mika', sails: 18, daysAgo: 1.2, title: 'Big sails' },
  { who: 'rosa', sails: 0.6, daysAgo: 0.6, title: 'Quiet moorings' }
]

/** @param hueOf the key colour that somebody was given. */
export const exercisePieces = (hueOf: (who: string) => number): DemoPiece[] =>
  HANDED_IN.map(({ who, sails, daysAgo, title }) => ({
    key: `moorings-${who}`,
    scene: () => moorings(hueOf(who), sails),
    learner: who,
    daysAgo,
    words: {
      title,
      stage: 'study',
      medium: 'gouache',
      question: '',
      about: 'Two sails among the hulls',
      plannedScheme: 'complementary'
    },
    faults: []
  }))

/** Planned, and tried once for himself. */
export const STUDY: DemoPiece = {
  key: 'moorings-study',
  scene: () => moorings(300, 0.8),
  learner: 'joss',
  daysAgo: 1,
  words: {
    title: 'A study of moorings',
    stage: 'study',
    medium: 'gouache',
    question: '',
    about: '',
    plannedScheme: 'complementary'
  },
  faults: []
}
