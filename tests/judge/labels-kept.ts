/**
 * What one person said of a third set of open pictures, every sixth of a package's and so not chosen, written down on
 * 2026-11-26 after the definitions stood and before anything of ours was run on them. All are kept back: no miss is
 * ever shown by name. Boxes are x, y, w, h in fractions.
 */
import type { Label } from './open'

const NONE: Label['first'] = []

export const KEPT_LABELS: readonly Label[] = [
  { file: 'badlands5.', look: [[0.4, 0.5, 0.15, 0.18]], first: ['composition.horizon'], horizon: 'unsure' },
  { file: 'beach1.', look: [[0.5, 0.45, 0.45, 0.5]], first: NONE, horizon: 'unsure' },
  {
    file: 'beach4.',
    look: [
      [0, 0.15, 0.25, 0.3],
      [0.65, 0.25, 0.15, 0.2]
    ],
    first: NONE,
    horizon: 'unsure'
  },
  { file: 'bwerner0.', look: [[0.12, 0.33, 0.2, 0.4]], first: NONE, horizon: 0.54 },
  { file: 'bwerner6.', look: [[0.15, 0.35, 0.6, 0.45]], first: NONE, horizon: 'unsure' },
  { file: 'canyon03.', look: [], first: ['value.thumbnail', 'focus.path', 'value.range'], horizon: 'unsure' },
  {
    file: 'canyon3.',
    look: [
      [0.05, 0.12, 0.28, 0.85],
      [0.7, 0.3, 0.3, 0.4]
    ],
    first: NONE
  },
  { file: 'canyon9.', look: [[0.35, 0.5, 0.45, 0.2]], first: NONE, horizon: 'unsure' },
  {
    file: 'city13-',
    look: [
      [0.25, 0.25, 0.25, 0.35],
      [0.78, 0.3, 0.15, 0.3]
    ],
    first: ['value.range', 'focus.path', 'value.thumbnail'],
    horizon: 'unsure'
  },
  { file: 'city2.', look: [[0.07, 0.55, 0.1, 0.13]], first: NONE },
  {
    file: 'city8.',
    look: [
      [0.55, 0.75, 0.35, 0.25],
      [0.25, 0.15, 0.3, 0.35]
    ],
    first: NONE
  },
  { file: 'desert3.', look: [], first: NONE, horizon: 0.6 },
  { file: 'desert9-', look: [[0.35, 0.6, 0.15, 0.15]], first: NONE, horizon: 0.67 },
  {
    file: 'dmottl5.',
    look: [
      [0.25, 0.45, 0.25, 0.55],
      [0.45, 0.2, 0.45, 0.4]
    ],
    first: NONE
  },
  { file: 'dune5.', look: [[0.25, 0.3, 0.3, 0.35]], first: NONE, horizon: 0.34 },
  { file: 'fields11-', look: [], first: ['value.range', 'focus.path', 'value.thumbnail'], horizon: 'unsure' },
  { file: 'fields5.', look: [[0.3, 0.3, 0.4, 0.6]], first: NONE },
  { file: 'fog1.', look: [], first: NONE, horizon: 'unsure' },
  { file: 'fog7.', look: [[0.5, 0.25, 0.45, 0.5]], first: NONE },
  { file: 'forest5.', look: [], first: NONE },
  { file: 'hills5-', look: [], first: ['focus.path', 'value.thumbnail'], horizon: 'unsure' },
  { file: 'lava2.', look: [[0.15, 0.3, 0.5, 0.7]], first: NONE },
  { file: 'loc0.', from: 'images/land', look: [[0.55, 0, 0.35, 0.45]], first: NONE },
  { file: 'mfield3.', look: [[0.35, 0.2, 0.15, 0.5]], first: NONE },
  {
    file: 'mountain11-',
    look: [
      [0.83, 0.1, 0.17, 0.45],
      [0.38, 0.75, 0.4, 0.25]
    ],
    first: NONE
  },
  { file: 'mountain17-', look: [[0.3, 0.15, 0.4, 0.4]], first: NONE },
  { file: 'mountain22-', look: [], first: ['focus.path'] },
  {
    file: 'mountain5.',
    look: [
      [0.3, 0.42, 0.4, 0.3],
      [0.6, 0.35, 0.4, 0.4]
    ],
    first: NONE
  },
  { file: 'myrabella1.', look: [[0.82, 0.5, 0.18, 0.12]], first: NONE, horizon: 0.5 },
  { file: 'myrabella7.', look: [], first: NONE },
  { file: 'nasa4.', look: [[0.08, 0.15, 0.45, 0.5]], first: NONE, horizon: 'unsure' },
  { file: 'sea0.', look: [[0.3, 0.6, 0.55, 0.35]], first: NONE, horizon: 'unsure' },
  { file: 'sea14-', look: [[0.6, 0.5, 0.35, 0.12]], first: NONE, horizon: 0.57 },
  { file: 'sea4.', look: [[0.2, 0.5, 0.5, 0.45]], first: NONE, horizon: 0.5 },
  { file: 'sky0.', look: [[0.35, 0.5, 0.45, 0.4]], first: NONE },
  { file: 'sky6.', look: [[0.25, 0.28, 0.35, 0.35]], first: NONE, horizon: 'unsure' },
  { file: 'snow10-', look: [], first: NONE },
  { file: 'snow5.', look: [[0.2, 0.42, 0.75, 0.35]], first: NONE },
  { file: 'space1.', look: [[0.4, 0.3, 0.22, 0.4]], first: NONE },
  { file: 'space7.', look: [[0.25, 0.25, 0.3, 0.5]], first: NONE },
  { file: 'valley0.', look: [[0.78, 0.13, 0.18, 0.25]], first: NONE },
  { file: 'valley14-', look: [[0.1, 0.72, 0.5, 0.15]], first: NONE },
  { file: 'valley6.', look: [], first: ['focus.path', 'value.thumbnail'] },
  { file: 'water10-', look: [[0.2, 0.38, 0.7, 0.45]], first: NONE, horizon: 'unsure' },
  { file: 'water6.', look: [[0.7, 0.35, 0.3, 0.35]], first: NONE },
  { file: 'engine.', look: [[0.05, 0.3, 0.75, 0.6]], first: NONE },
  { file: 'geoscan.', look: [], first: ['focus.path', 'value.range', 'value.thumbnail'] },
  { file: 'loc1.', from: 'images/scene', look: [[0.28, 0.25, 0.25, 0.5]], first: NONE },
  { file: 'loc4.', from: 'images/scene', look: [[0.33, 0.15, 0.25, 0.35]], first: NONE },
  {
    file: 'loc7.',
    from: 'images/scene',
    look: [
      [0, 0.25, 0.75, 0.7],
      [0.4, 0.15, 0.45, 0.4]
    ],
    first: NONE
  },
  { file: 'tempest.', look: [[0.3, 0.1, 0.6, 0.7]], first: NONE },
  { file: 'kalenz.', from: 'wesnoth-1.16-dm/', look: [[0.35, 0.03, 0.3, 0.4]], first: NONE },
  { file: 'zorlan.', from: 'wesnoth-1.16-dm/', look: [[0.38, 0.08, 0.3, 0.35]], first: NONE },
  { file: 'gweddry.', from: 'wesnoth-1.16-ei/', look: [[0.35, 0.05, 0.3, 0.3]], first: NONE },
  { file: 'cleodil.', from: 'wesnoth-1.16-low/', look: [[0.35, 0.2, 0.3, 0.35]], first: NONE },
  {
    file: 'Hamel.',
    from: 'wesnoth-1.16-nr/',
    look: [
      [0.35, 0.1, 0.35, 0.4],
      [0, 0.2, 0.4, 0.5]
    ],
    first: NONE
  },
  { file: 'durstorn-insane.', from: 'wesnoth-1.16-sof/', look: [[0.22, 0.2, 0.3, 0.3]], first: NONE },
  {
    file: 'campaign-image.',
    from: 'wesnoth-1.16-sota/',
    look: [
      [0.25, 0.1, 0.3, 0.4],
      [0.7, 0.3, 0.25, 0.35]
    ],
    first: NONE
  },
  { file: 'jetto.', from: 'wesnoth-1.16-sotbe/', look: [[0.35, 0.05, 0.35, 0.3]], first: NONE },
  {
    file: 'eltenmir.',
    from: 'wesnoth-1.16-tsg/',
    look: [
      [0.38, 0.05, 0.25, 0.2],
      [0, 0.4, 0.35, 0.6]
    ],
    first: NONE
  }
]
