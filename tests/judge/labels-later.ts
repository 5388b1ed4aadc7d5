/**
 * What one person said of a second set of open pictures, every third to sixth of a package's and so not chosen, written
 * down on 2026-11-26 before anything of ours was run on them. Even ones are there to tune by; of odd ones no miss is
 * ever shown by name. Boxes are x, y, w, h in fractions.
 */
import type { Label } from './open'

const NONE: Label['first'] = []

export const LATER_LABELS: readonly Label[] = [
  { file: 'badlands2.', look: [[0.64, 0.12, 0.36, 0.88]], first: NONE, horizon: 'unsure' },
  { file: 'badlands8.', look: [[0.13, 0.28, 0.28, 0.2]], first: NONE, horizon: 0.33 },
  { file: 'beach12-harro.', look: [], first: ['composition.horizon', 'focus.path'], horizon: 0.45 },
  {
    file: 'beach7-sfiera.',
    look: [
      [0.5, 0.42, 0.5, 0.3],
      [0.35, 0.75, 0.4, 0.25]
    ],
    first: NONE,
    horizon: 0.45
  },
  {
    file: 'bwerner3.',
    look: [
      [0.2, 0.6, 0.28, 0.4],
      [0.62, 0.27, 0.38, 0.6]
    ],
    first: ['value.thumbnail', 'focus.path'],
    horizon: 'unsure'
  },
  { file: 'canyon0.', look: [[0.45, 0.85, 0.55, 0.15]], first: NONE },
  { file: 'canyon1.', look: [[0.3, 0.55, 0.7, 0.45]], first: NONE },
  { file: 'canyon6.', look: [], first: NONE, horizon: 0.42 },
  { file: 'city10.', look: [[0.42, 0.4, 0.18, 0.55]], first: NONE, horizon: 'unsure' },
  { file: 'city16-sfiera.', look: [[0.2, 0.32, 0.35, 0.35]], first: ['focus.path', 'value.thumbnail'], horizon: 0.42 },
  {
    file: 'city5.',
    look: [
      [0.65, 0.2, 0.35, 0.2],
      [0.55, 0.6, 0.3, 0.35]
    ],
    first: NONE,
    horizon: 'unsure'
  },
  { file: 'desert1.', look: [[0.6, 0, 0.4, 0.35]], first: NONE, horizon: 'unsure' },
  { file: 'desert6.', look: [[0.15, 0.65, 0.85, 0.2]], first: NONE, horizon: 'unsure' },
  { file: 'dmottl2.', look: [[0.35, 0.08, 0.6, 0.6]], first: NONE },
  { file: 'dune2.', look: [[0.25, 0.55, 0.4, 0.35]], first: NONE, horizon: 0.63 },
  { file: 'fields0.', look: [], first: NONE, horizon: 'unsure' },
  { file: 'fields2.', look: [], first: NONE, horizon: 0.63 },
  { file: 'fields8.', look: [], first: ['value.thumbnail', 'focus.path', 'value.range'], horizon: 0.33 },
  { file: 'fog4.', look: [[0.4, 0.2, 0.5, 0.55]], first: NONE },
  {
    file: 'forest2.',
    look: [
      [0.3, 0.25, 0.5, 0.2],
      [0.45, 0.72, 0.2, 0.2]
    ],
    first: NONE,
    horizon: 0.43
  },
  { file: 'hills2.', look: [[0.5, 0.25, 0.4, 0.35]], first: NONE, horizon: 'unsure' },
  {
    file: 'industrial0-iridium.',
    look: [
      [0.15, 0.45, 0.15, 0.2],
      [0.42, 0.35, 0.47, 0.45]
    ],
    first: NONE,
    horizon: 'unsure'
  },
  { file: 'lava5.', look: [], first: ['value.thumbnail', 'focus.path'], horizon: 'unsure' },
  {
    file: 'mfield0.',
    look: [
      [0.68, 0.12, 0.12, 0.3],
      [0, 0.7, 0.5, 0.2]
    ],
    first: NONE,
    horizon: 'unsure'
  },
  {
    file: 'mountain0.',
    look: [
      [0.75, 0, 0.25, 0.5],
      [0.4, 0.35, 0.3, 0.3]
    ],
    first: NONE,
    horizon: 'unsure'
  },
  { file: 'mountain14-sfiera.', look: [], first: ['value.range', 'focus.path', 'value.thumbnail'] },
  { file: 'mountain2.', look: [], first: NONE },
  { file: 'mountain25-spfld.', look: [[0.5, 0.4, 0.45, 0.35]], first: NONE },
  { file: 'mountain8.', look: [[0, 0.1, 0.4, 0.6]], first: NONE },
  { file: 'myrabella4.', look: [[0.4, 0.33, 0.22, 0.35]], first: NONE, horizon: 'unsure' },
  { file: 'nasa1.', look: [[0.3, 0.5, 0.45, 0.4]], first: NONE, horizon: 'unsure' },
  {
    file: 'nasa7.',
    look: [
      [0.3, 0.2, 0.2, 0.7],
      [0.5, 0.38, 0.2, 0.55]
    ],
    first: NONE
  },
  { file: 'sea11-sfiera.', look: [], first: ['value.range', 'focus.path', 'value.thumbnail'], horizon: 0.45 },
  {
    file: 'sea17-harro.',
    look: [
      [0.1, 0.1, 0.7, 0.45],
      [0.55, 0.7, 0.45, 0.3]
    ],
    first: NONE,
    horizon: 0.65
  },
  { file: 'sea7.', look: [[0.5, 0.3, 0.5, 0.25]], first: NONE, horizon: 0.6 },
  { file: 'sky3.', look: [[0.38, 0.3, 0.22, 0.2]], first: NONE, horizon: 0.42 },
  { file: 'sky9.', look: [], first: NONE, horizon: 'unsure' },
  {
    file: 'snow2.',
    look: [
      [0.27, 0.55, 0.2, 0.2],
      [0.3, 0.38, 0.35, 0.2]
    ],
    first: NONE,
    horizon: 'unsure'
  },
  { file: 'snow8.', look: [[0.35, 0.35, 0.35, 0.35]], first: NONE },
  { file: 'space4.', look: [[0.35, 0.15, 0.5, 0.75]], first: NONE },
  { file: 'station2.', look: [[0.57, 0.25, 0.22, 0.45]], first: NONE },
  { file: 'valley11-harro.', look: [[0.25, 0.45, 0.5, 0.55]], first: NONE },
  { file: 'valley3.', look: [[0.25, 0.15, 0.55, 0.35]], first: NONE },
  { file: 'valley9.', look: [], first: ['focus.path', 'value.thumbnail'] },
  { file: 'water3.', look: [[0, 0.05, 0.5, 0.5]], first: NONE, horizon: 0.34 },
  { file: 'water9.', look: [], first: NONE, horizon: 'unsure' },
  { file: 'army0.', look: [[0.3, 0.2, 0.7, 0.5]], first: NONE, horizon: 0.82 },
  { file: 'eso0.', look: [[0.35, 0.3, 0.35, 0.3]], first: NONE },
  {
    file: 'loc0.',
    from: 'images/scene',
    look: [
      [0.4, 0.12, 0.25, 0.4],
      [0.2, 0.4, 0.25, 0.25]
    ],
    first: NONE
  },
  { file: 'loc3.', from: 'images/scene', look: [[0.4, 0.42, 0.2, 0.55]], first: ['focus.path', 'value.thumbnail'] },
  {
    file: 'loc6.',
    from: 'images/scene',
    look: [
      [0.2, 0.07, 0.2, 0.25],
      [0.3, 0.33, 0.3, 0.5]
    ],
    first: NONE
  },
  {
    file: 'loc9.',
    from: 'images/scene',
    look: [
      [0.65, 0.4, 0.3, 0.55],
      [0.22, 0.1, 0.2, 0.3]
    ],
    first: NONE
  },
  { file: 'campaign_image.', from: 'wesnoth-1.16-dm/', look: [[0.4, 0.07, 0.25, 0.4]], first: NONE },
  { file: 'campaign_image.', from: 'wesnoth-1.16-dw/', look: [[0.38, 0.03, 0.25, 0.32]], first: NONE },
  { file: 'campaign_image.', from: 'wesnoth-1.16-ei/', look: [[0.38, 0.03, 0.3, 0.3]], first: NONE },
  { file: 'campaign_image.', from: 'wesnoth-1.16-l/', look: [[0.38, 0.03, 0.25, 0.3]], first: NONE },
  { file: 'campaign_image.', from: 'wesnoth-1.16-low/', look: [[0.4, 0.05, 0.3, 0.4]], first: NONE },
  {
    file: 'campaign_image.',
    from: 'wesnoth-1.16-nr/',
    look: [
      [0.35, 0.2, 0.3, 0.32],
      [0.55, 0.45, 0.3, 0.4]
    ],
    first: NONE
  },
  { file: 'campaign_image.', from: 'wesnoth-1.16-sof/', look: [[0.33, 0.2, 0.3, 0.35]], first: NONE },
  { file: 'campaign_image.', from: 'wesnoth-1.16-sotbe/', look: [[0.3, 0.05, 0.25, 0.35]], first: NONE },
  {
    file: 'campaign_image.',
    from: 'wesnoth-1.16-tsg/',
    look: [
      [0.4, 0.02, 0.25, 0.3],
      [0.08, 0.38, 0.3, 0.5]
    ],
    first: NONE
  },
  {
    file: 'campaign_image.',
    from: 'wesnoth-1.16-ttb/',
    look: [
      [0.5, 0.03, 0.25, 0.3],
      [0.02, 0.28, 0.3, 0.5]
    ],
    first: NONE
  },
  { file: 'summer.', from: 'wesnoth-1.16-tsg/', look: [[0.38, 0.3, 0.5, 0.5]], first: NONE, horizon: 'unsure' },
  { file: 'winter.', from: 'wesnoth-1.16-tsg/', look: [[0.38, 0.3, 0.5, 0.5]], first: NONE, horizon: 'unsure' },
  { file: 'fall.', from: 'wesnoth-1.16-tsg/', look: [[0.38, 0.3, 0.5, 0.5]], first: NONE, horizon: 'unsure' },
  { file: 'flower.', from: 'python3-sklearn/', look: [[0.25, 0.18, 0.45, 0.68]], first: NONE },
  { file: 'china.', from: 'python3-sklearn/', look: [[0.1, 0.05, 0.45, 0.85]], first: NONE },
  {
    file: 'splash.',
    from: 'freeorion-data/',
    look: [
      [0.6, 0.25, 0.3, 0.3],
      [0.3, 0.15, 0.35, 0.75]
    ],
    first: NONE
  }
]
