/** Exercises in mixing: one colour in many values, colours taken to grey, darks without black, few paints. */
import { coverage, differentSteps, greyed, muted } from './checks/colour'
import { dark, noBlack, range, valueSteps, warmAndCoolDarks } from './checks/value'
import type { Exercise } from './exercise'

const LABELS =
  'White, black and paints differ in what they hold: follow the label and your room’s rules, and do not sand dry paint.'

export const ONE_COLOUR: Exercise = {
  title: 'One colour',
  trains: 'Everything that one colour can be: tints with white, tones with grey, shades with black',
  plan: 'monochrome',
  keyed: true,
  steps: [
    'Choose one colour. Mix a strip of tints, one of tones and one of shades, at least five even steps each.',
    'Take a subject with a clear light, and find a step of your strips for each of its values.',
    'Paint it in that one colour, from nearly white to nearly black.',
    LABELS
  ],
  checks: [coverage('monochrome', 'one colour'), valueSteps(5), range(50)]
}

export const MUTED: Exercise = {
  title: 'Muted on purpose',
  trains: 'A colour taken to grey through its opposite, and back: quiet colours that are still colours',
  plan: 'complementary',
  keyed: true,
  steps: [
    'Choose a colour and its opposite. Mix one toward the other in even steps, through the grey that both make.',
    'Hold the value: add white or the darker of the two, so that no step is lighter than its neighbours.',
    'Paint a small piece in the greyed steps alone; nothing in it at full strength but perhaps one small place.',
    'Keep lights and darks apart, since strength does not.'
  ],
  checks: [coverage('complementary', 'a colour and its opposite'), greyed(4), muted(0.05), range(40)]
}

export const NO_BLACK: Exercise = {
  title: 'No black',
  trains: 'Darks that are mixed: warm ones and cool ones, as dark as black and alive',
  plan: null,
  keyed: false,
  steps: [
    'Put black away. Mix darks from opposites: a warm one, a cool one, each as dark as it will go.',
    'Hold them beside your black, and bring them to the same value.',
    'Paint a small piece with large darks:'
      + ' the warm ones where light comes back into the shadow, the cool ones where it does not.',
    LABELS
  ],
  checks: [noBlack(0.02), dark(25), warmAndCoolDarks(0.1), range(50)]
}

export const LIMITED_PALETTE: Exercise = {
  title: 'Limited palette',
  trains: 'A whole picture out of few paints, which makes its colours belong together',
  plan: null,
  keyed: false,
  steps: [
    'Choose two or three paints and white. Mix each pair, so you know what you have.',
    'Choose a subject that has more colours than that, and find the nearest of yours for each.',
    'Paint it with nothing else.',
    'Keep lights and darks apart: with few colours, value carries the picture.'
  ],
  checks: [differentSteps(2, 4), range(50)]
}
