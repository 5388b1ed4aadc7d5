/** Exercises in seeing before painting: the wheel, amounts, shadows, values of something given, crops, studies. */
import { coverage } from './checks/colour'
import {
  accentTwice,
  cropsDiffer,
  cropsRead,
  equalOnce,
  leadsTwice,
  oneLight,
  samePalette,
  shadowsColoured,
  shadowsDarker
} from './checks/parts'
import { held, structure, studiesFirst } from './checks/source'
import { range } from './checks/value'
import { allSteps, evenAmounts, strong } from './checks/wheel'
import type { Exercise } from './exercise'

const wheelIn = (n: 6 | 12, words: string): Exercise => ({
  title: `The wheel in ${words}`,
  trains: `The ${words} steps of the wheel in order, each mixed from the ones beside it`,
  plan: null,
  keyed: false,
  steps: [
    'Draw a ring of equal fields. Put the three you do not mix a third of the ring apart.',
    n === 6
      ? 'Mix each field between from the two beside it, until it is as far from one as from the other.'
      : 'Mix the three half way between them, and then the six that are left, each from the two beside it.',
    'Fill every field evenly, at full strength, without black or white.',
    'Photograph it in even light, the ring filling the picture.'
  ],
  checks: [allSteps(n, words), evenAmounts(n, 3), strong(0.5)]
})
export const WHEEL_6 = wheelIn(6, 'six')
export const WHEEL_12 = wheelIn(12, 'twelve')

export const PROPORTION: Exercise = {
  title: 'Proportion three ways',
  trains: 'What amounts do: the same three colours without a leader, and with one',
  plan: null,
  keyed: true,
  steps: [
    'Mix three colours, enough of each for three small pictures.',
    'Draw the same simple picture three times, side by side.',
    'Paint the first with the three in equal amounts;'
      + ' the others with a leader, an assistant and an accent, each time another leader.',
    'Hold them at arm’s length: which one does the eye enter first?'
  ],
  checks: [samePalette, equalOnce, leadsTwice, accentTwice]
}

export const SHADOW_COLOUR: Exercise = {
  title: 'Shadow colour',
  trains: 'Shadows that are more than darker: the colour that the rest of the room throws into them',
  plan: null,
  keyed: false,
  steps: [
    'Put five things of different colours under one lamp or at one window.',
    'Paint a row of five patches: each thing where the light falls on it.',
    'Under each paint the same thing in its own shadow. Look at the shadow beside the others, never alone.',
    'Photograph it so that the two rows fill the picture.'
  ],
  checks: [shadowsDarker, shadowsColoured, oneLight]
}

export const FROM_REFERENCE: Exercise = {
  title: 'From a reference',
  trains: 'Reading the values of something given, and keeping to them',
  plan: null,
  keyed: false,
  needs: 'reference',
  steps: [
    'Choose a picture with a clear light, and crop your paper to its shape.',
    'Find its darkest and its lightest place, and five values between.',
    'Block in the big shapes in those values, without detail.',
    'Hand the reference in with it: the values are compared place for place.'
  ],
  checks: [structure, held]
}

export const ONE_HUE: Exercise = {
  title: 'A photograph in one hue',
  trains: 'Holding values while colour is taken away: everything said by one hue, dark to light',
  plan: 'monochrome',
  keyed: true,
  needs: 'reference',
  steps: [
    'Choose a colourful photograph with a clear light. Mix a ladder of one colour from nearly black to nearly white.',
    'Name the value of each large shape of the photograph before you look which step it gets.',
    'Repaint it in that one colour. A yellow may be lighter than a blue beside it: keep that.',
    'Hand the photograph in with it.'
  ],
  checks: [coverage('monochrome', 'one colour'), structure, held]
}

export const FRAMING: Exercise = {
  title: 'Framing',
  trains: 'Four crops of one idea before the first stroke of the picture',
  plan: null,
  keyed: false,
  cuts: true,
  steps: [
    'Cut two corners of card, or use your fingers, as a frame you can change.',
    'Find four crops of the same subject: one close, one far, one upright, one with the weight to the side.',
    'Draw each as three masses, the size of a matchbox, two above two.',
    'Mark the one you would paint, and say why in a line.'
  ],
  checks: [cropsRead, cropsDiffer]
}

export const STUDIES_FIRST: Exercise = {
  title: 'Studies first',
  trains: 'Finding out small what would be lost large',
  plan: null,
  keyed: false,
  needs: 'studies',
  steps: [
    'Make at least one study no larger than your hand: values only, or colours only.',
    'Photograph it and check it here, before the picture itself. Nobody else sees it; it is kept, and counted.',
    'Change one thing that the study showed you, and make the picture.',
    'Hand the picture in.'
  ],
  checks: [studiesFirst(1), range(45)]
}
