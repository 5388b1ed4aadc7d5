/** What one person said of each open picture, before anything was measured on it. Boxes are x, y, w, h in fractions. */
import type { Label } from './open'

const NONE: Label['first'] = []

export const LABELS: readonly Label[] = [
  { file: 'Bridge_', look: [], first: NONE, horizon: 0.84 },
  { file: 'Dragonfly_', look: [[0.48, 0.28, 0.22, 0.22]], first: ['focus.path', 'value.thumbnail'] },
  { file: 'Picture_0B_', look: [[0.42, 0.3, 0.32, 0.48]], first: NONE },
  { file: 'Picture_1A_', look: [], first: NONE },
  { file: 'Wine_', look: [[0.1, 0.45, 0.6, 0.5]], first: NONE },
  { file: 'aitzgorri_', look: [], first: NONE },
  { file: 'analogpattern_', look: [], first: NONE },
  { file: 'free_', look: [[0.45, 0.15, 0.35, 0.3]], first: ['focus.whites', 'focus.path'] },
  { file: 'friends_', look: [[0.28, 0.22, 0.4, 0.45]], first: NONE },
  { file: 'greentock_', look: [[0.5, 0.3, 0.35, 0.3]], first: NONE },
  { file: 'life_', look: [[0.35, 0.35, 0.3, 0.6]], first: ['focus.path', 'value.thumbnail'] },
  { file: 'picosdeeuropa_', look: [], first: NONE },
  { file: 'seeding_', look: [[0.12, 0.08, 0.35, 0.5]], first: NONE },
  { file: 'sunset_', look: [[0.38, 0.28, 0.25, 0.3]], first: ['composition.horizon'], horizon: 0.48 },
  { file: 'umang_', look: [], first: ['harmony.saturation', 'harmony.scheme'] },
  { file: 'Fossa_', look: [], first: ['value.range'] },
  { file: 'Infinite-Sea_', look: [[0.35, 0.1, 0.35, 0.7]], first: NONE, horizon: 0.7 },
  { file: 'Kleiber_', look: [[0.38, 0.4, 0.2, 0.3]], first: NONE },
  { file: 'Painting-Colors_', look: [], first: NONE },
  {
    file: 'httt_story1.',
    look: [
      [0.2, 0.05, 0.25, 0.4],
      [0.65, 0.15, 0.3, 0.4]
    ],
    first: NONE
  },
  { file: 'httt_story2.', look: [[0.35, 0.25, 0.35, 0.65]], first: NONE },
  { file: 'httt_story3.', look: [[0.55, 0.05, 0.35, 0.75]], first: NONE },
  { file: 'httt_story4.', look: [[0.2, 0.1, 0.35, 0.85]], first: NONE },
  {
    file: 'httt_story5.',
    look: [
      [0.3, 0, 0.4, 0.5],
      [0.2, 0.2, 0.35, 0.5]
    ],
    first: NONE
  },
  { file: 'httt_story6.', look: [[0.25, 0.05, 0.4, 0.7]], first: NONE },
  { file: 'httt_story7.', look: [[0.45, 0.35, 0.35, 0.5]], first: NONE },
  { file: 'httt_story8.', look: [[0.38, 0.3, 0.3, 0.5]], first: NONE },
  { file: 'trow_intro_01.', look: [], first: NONE },
  { file: 'trow_intro_02.', look: [[0.15, 0.45, 0.3, 0.35]], first: NONE },
  {
    file: 'trow_intro_03.',
    look: [
      [0, 0.05, 0.3, 0.9],
      [0.3, 0.2, 0.25, 0.5]
    ],
    first: NONE
  },
  { file: 'trow_intro_04.', look: [[0.15, 0, 0.3, 0.95]], first: NONE },
  { file: 'trow_intro_05.', look: [[0.5, 0, 0.4, 0.6]], first: ['value.range'] },
  {
    file: 'trow_intro_06.',
    look: [
      [0, 0, 0.55, 0.9],
      [0.65, 0.4, 0.3, 0.4]
    ],
    first: NONE
  },
  { file: 'trow_intro_07.', look: [[0.3, 0.1, 0.35, 0.75]], first: NONE },
  { file: 'trow_intro_08.', look: [[0.15, 0.3, 0.5, 0.65]], first: NONE },
  { file: 'trow_intro_09.', look: [[0.5, 0.1, 0.3, 0.6]], first: NONE },
  { file: 'trow_intro_10.', look: [[0.1, 0.02, 0.75, 0.75]], first: NONE },
  {
    file: 'trow_story_01',
    look: [
      [0.05, 0.25, 0.45, 0.75],
      [0.55, 0.35, 0.2, 0.2]
    ],
    first: NONE
  },
  { file: 'trow_story_02', look: [[0.3, 0.2, 0.35, 0.7]], first: NONE },
  { file: 'trow_story_03', look: [[0.5, 0.2, 0.4, 0.6]], first: NONE },
  { file: 'trow_story_04-', look: [[0.3, 0.15, 0.4, 0.6]], first: NONE },
  { file: 'trow_story_04a', look: [[0.3, 0.2, 0.3, 0.75]], first: NONE },
  {
    file: 'trow_story_04b',
    look: [
      [0.33, 0.5, 0.2, 0.35],
      [0.75, 0.3, 0.25, 0.7],
      [0.55, 0.2, 0.2, 0.5]
    ],
    first: NONE
  },
  { file: 'trow_story_06', look: [[0.25, 0.4, 0.3, 0.5]], first: NONE },
  { file: 'trow_story_13', look: [[0, 0, 0.5, 1]], first: NONE },
  {
    file: 'trow_story_15',
    look: [
      [0.2, 0.25, 0.2, 0.5],
      [0.35, 0.35, 0.25, 0.5]
    ],
    first: NONE,
    horizon: 0.86
  }
]
