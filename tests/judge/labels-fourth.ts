/**
 * What one person said of a fourth set of open pictures, written down on 2026-12-01 after the definitions stood and
 * before anything of ours was run on them: all of the landscapes, every twentieth portrait and all photographs of
 * nature of their packages, and what shows something among the rest. Every other one is kept back. Boxes are x, y, w,
 * h in fractions.
 */
import type { Label } from './open'

const NONE: Label['first'] = [],
  /** Nothing leads, and little stands apart in value. */
  FLAT: Label['first'] = ['value.range', 'focus.path', 'value.thumbnail']

const STORY = 'wesnoth-1.16-data/',
  PORTRAIT = 'core/images/portraits/',
  NATURE = 'mate/nature/',
  PLAIN = 'ukui-wallpapers/'

const wide = (name: string): string => `wallpapers/${name}/`

export const FOURTH_LABELS: readonly Label[] = [
  { file: 'grim-altar.', from: STORY, look: [[0.4, 0.3, 0.3, 0.5]], first: FLAT },
  { file: 'landscape-battlefield.', from: STORY, look: [[0.68, 0.3, 0.32, 0.6]], first: NONE, horizon: 'unsure' },
  { file: 'landscape-battlefield_', from: STORY, look: [[0.7, 0.3, 0.3, 0.55]], first: NONE, horizon: 'unsure' },
  { file: 'landscape-bridge.', from: STORY, look: [[0.3, 0.42, 0.45, 0.25]], first: FLAT, horizon: 'unsure' },
  { file: 'landscape-bridge_sun.', from: STORY, look: [[0.3, 0.42, 0.45, 0.25]], first: NONE, horizon: 'unsure' },
  { file: 'landscape-castle.', from: STORY, look: [[0.42, 0.18, 0.3, 0.22]], first: NONE, horizon: 'unsure' },
  { file: 'landscape-coast.', from: STORY, look: [[0.18, 0.17, 0.2, 0.2]], first: NONE, horizon: 'unsure' },
  { file: 'landscape-hills-01.', from: STORY, look: [[0.25, 0.12, 0.6, 0.3]], first: NONE, horizon: 'unsure' },
  {
    file: 'landscape-hills-02.',
    from: STORY,
    look: [
      [0.6, 0.08, 0.25, 0.3],
      [0, 0.65, 0.45, 0.27]
    ],
    first: NONE,
    horizon: 'unsure'
  },
  { file: 'landscape-mountains-01.', from: STORY, look: [[0.12, 0.08, 0.7, 0.4]], first: NONE, horizon: 'unsure' },
  { file: 'landscape-mountains-02.', from: STORY, look: [], first: FLAT },
  { file: 'landscape-mountains-03.', from: STORY, look: [[0.5, 0.22, 0.25, 0.3]], first: NONE, horizon: 'unsure' },
  { file: 'landscape-mountains-04.', from: STORY, look: [[0.57, 0.42, 0.14, 0.2]], first: NONE },
  {
    file: 'landscape-mountains-05.',
    from: STORY,
    look: [[0.5, 0.08, 0.4, 0.35]],
    first: ['value.range', 'value.thumbnail'],
    horizon: 'unsure'
  },
  { file: 'landscape-plain.', from: STORY, look: [[0.14, 0.47, 0.25, 0.09]], first: NONE, horizon: 'unsure' },
  { file: 'swamp-01.', from: STORY, look: [[0.45, 0.2, 0.4, 0.35]], first: NONE },
  { file: 'swamp-02.', from: STORY, look: [[0.4, 0.2, 0.6, 0.4]], first: NONE },
  { file: 'swamp-03.', from: STORY, look: [[0.4, 0.25, 0.5, 0.35]], first: NONE },
  { file: 'hurricane.', from: PORTRAIT, look: [[0.38, 0.18, 0.28, 0.3]], first: NONE },
  { file: 'fighter.', from: `${PORTRAIT}elves`, look: [[0.4, 0.05, 0.25, 0.32]], first: NONE },
  { file: 'spearman.', from: `${PORTRAIT}goblins`, look: [[0.3, 0.15, 0.3, 0.35]], first: NONE },
  { file: 'huntsman.', from: PORTRAIT, look: [[0.38, 0.05, 0.28, 0.25]], first: NONE },
  { file: 'marshal.', from: PORTRAIT, look: [[0.42, 0.05, 0.28, 0.35]], first: NONE },
  { file: 'thief+female.', from: PORTRAIT, look: [[0.4, 0.05, 0.25, 0.3]], first: NONE },
  { file: 'black-stallion.', from: PORTRAIT, look: [[0.48, 0.02, 0.28, 0.35]], first: NONE },
  { file: 'scarab.', from: PORTRAIT, look: [[0.35, 0.3, 0.5, 0.5]], first: NONE },
  { file: 'naga-ringcaster.', from: PORTRAIT, look: [[0.05, 0.12, 0.5, 0.55]], first: NONE },
  { file: 'troll-hero.', from: PORTRAIT, look: [[0.42, 0.03, 0.3, 0.3]], first: NONE },
  {
    file: 'shadow.',
    from: `${PORTRAIT}undead`,
    look: [
      [0.5, 0.03, 0.25, 0.3],
      [0.3, 0.6, 0.4, 0.3]
    ],
    first: NONE
  },
  { file: 'zombie-spider.', from: PORTRAIT, look: [[0.3, 0.15, 0.4, 0.65]], first: NONE },
  { file: 'Aqua.', from: NATURE, look: [[0.52, 0.38, 0.36, 0.5]], first: NONE },
  { file: 'Blinds.', from: NATURE, look: [], first: NONE },
  { file: 'Dune.', from: NATURE, look: [], first: NONE, horizon: 'unsure' },
  { file: 'FreshFlower.', from: NATURE, look: [[0.2, 0.4, 0.45, 0.5]], first: NONE },
  { file: 'Garden.', from: NATURE, look: [[0.5, 0.18, 0.4, 0.5]], first: NONE },
  { file: 'GreenMeadow.', from: NATURE, look: [], first: ['focus.path', 'value.thumbnail'] },
  { file: 'LadyBird.', from: NATURE, look: [[0.6, 0.4, 0.2, 0.22]], first: NONE },
  { file: 'RainDrops.', from: NATURE, look: [[0.2, 0.3, 0.6, 0.5]], first: NONE },
  { file: 'Storm.', from: NATURE, look: [], first: NONE, horizon: 0.62 },
  { file: 'TwoWings.', from: NATURE, look: [[0.3, 0.25, 0.65, 0.45]], first: NONE },
  { file: 'Wood.', from: NATURE, look: [], first: FLAT },
  {
    file: 'YellowFlower.',
    from: NATURE,
    look: [
      [0.7, 0.6, 0.3, 0.35],
      [0.3, 0.1, 0.5, 0.6]
    ],
    first: NONE
  },
  { file: 'Elephants.', look: [[0.42, 0.05, 0.3, 0.75]], first: NONE },
  { file: 'calla.', from: PLAIN, look: [[0.38, 0.28, 0.25, 0.5]], first: NONE },
  { file: 'city.', from: PLAIN, look: [[0.5, 0.3, 0.5, 0.6]], first: NONE },
  { file: 'desert.', from: PLAIN, look: [[0.5, 0.35, 0.5, 0.65]], first: NONE },
  { file: 'goldfish.', from: PLAIN, look: [[0.25, 0.22, 0.45, 0.48]], first: NONE },
  { file: 'the-mouse.', from: PLAIN, look: [[0.35, 0.12, 0.3, 0.55]], first: NONE },
  {
    file: 'rollpaper.',
    from: PLAIN,
    look: [
      [0.3, 0.2, 0.3, 0.6],
      [0.55, 0.35, 0.35, 0.65]
    ],
    first: NONE
  },
  { file: '1080x1920.', from: wide('Altai'), look: [[0.55, 0.18, 0.45, 0.45]], first: NONE, horizon: 'unsure' },
  {
    file: '2560x1600.',
    from: wide('Autumn'),
    look: [
      [0.26, 0.72, 0.1, 0.2],
      [0.5, 0.05, 0.5, 0.8]
    ],
    first: NONE,
    horizon: 'unsure'
  },
  {
    file: '2560x1600.',
    from: wide('BytheWater'),
    look: [
      [0.6, 0.22, 0.25, 0.15],
      [0.4, 0.45, 0.4, 0.3]
    ],
    first: NONE,
    horizon: 'unsure'
  },
  { file: '3840x2160.', from: wide('Canopee'), look: [[0.45, 0.3, 0.4, 0.5]], first: NONE },
  {
    file: '3840x2160.',
    from: wide('Cascade'),
    look: [
      [0.7, 0.55, 0.3, 0.25],
      [0.4, 0.2, 0.3, 0.4]
    ],
    first: NONE
  },
  { file: '2560x1600.', from: wide('DarkestHour'), look: [[0.3, 0.55, 0.45, 0.2]], first: FLAT, horizon: 0.68 },
  {
    file: '2560x1600.',
    from: wide('Elarun'),
    look: [
      [0.35, 0.35, 0.4, 0.35],
      [0.65, 0.6, 0.35, 0.35]
    ],
    first: NONE
  },
  {
    file: '2560x1600.',
    from: wide('EveningGlow'),
    look: [
      [0, 0.45, 0.65, 0.5],
      [0.4, 0.1, 0.4, 0.25]
    ],
    first: NONE,
    horizon: 'unsure'
  },
  { file: '2560x1600.', from: wide('FallenLeaf'), look: [[0.5, 0.3, 0.45, 0.5]], first: NONE },
  { file: '2560x1600.', from: wide('Kite'), look: [[0.62, 0.28, 0.1, 0.14]], first: NONE },
  { file: '2560x1600.', from: wide('OneStandsOut'), look: [[0.6, 0.42, 0.12, 0.16]], first: NONE },
  { file: '3200x2000.', from: wide('PastelHills'), look: [], first: FLAT },
  { file: '1080x1920.', from: wide('MilkyWay'), look: [], first: FLAT },
  { file: '2560x1600.', from: wide('Path'), look: [[0.2, 0.45, 0.15, 0.55]], first: NONE },
  { file: '1080x1920.', from: wide('Patak'), look: [[0.3, 0.42, 0.7, 0.25]], first: NONE },
  { file: '1622x2880.', from: wide('SafeLanding'), look: [[0.32, 0.2, 0.4, 0.55]], first: NONE, horizon: 'unsure' },
  { file: '2560x1600.', from: wide('summer_1am'), look: [[0.5, 0.6, 0.5, 0.2]], first: NONE, horizon: 0.67 },
  { file: '2560x1600.', from: wide('ColorfulCups'), look: [], first: NONE },
  { file: '5120x2880.', from: wide('IceCold'), look: [[0.08, 0.48, 0.25, 0.26]], first: NONE }
]
