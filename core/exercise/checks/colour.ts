/** Checks of a free piece's colours: whether they keep to a scheme, which of them leads, how strong they are. */
import { percent } from '../../critique/words'
import { bestFit, HOLDS, type Fit } from '../../measure/harmony/scheme'
import { VIVID_ABOVE } from '../../measure/harmony/vivid'
import { turnBetween, wrapDegrees } from '../../numeric/angle'
import { schemeNamed, type SectorScheme } from '../../wheel/schemes'
import { checkOf, type Check, type HandInMeasures } from '../exercise'
import type { Settings } from '../settings'

/** The wheel as a sentence ends with it. */
export const onWheel = ({ wheel }: Pick<Settings, 'wheel'>): string => `on the ${wheel} wheel`

const NO_COLOUR = 'There is no colour to measure.'
const fitOf = (name: SectorScheme, { hues }: HandInMeasures): Fit | null =>
  hues.totalWeight > 0 ? bestFit(name, hues.weight) : null

/** The scheme's sectors hold most of the colour. @param within what they are, as in "two opposites". */
export const coverage = (scheme: SectorScheme, within: string): Check =>
  checkOf({
    id: 'coverage',
    name: 'keeping to the scheme',
    asks: ({ least }, settings) =>
      `At least ${percent(least)} of the colour lies within ${within} ${onWheel(settings)}`,
    atLeast: HOLDS.coverage,
    top: 1,
    measure: measures => fitOf(scheme, measures)?.coverage ?? 0,
    say: share => (share === 0 ? NO_COLOUR : `${percent(share)} of the colour lies within ${within}.`),
    tip: () => 'Find what lies outside, and mix it toward the nearest colour of the scheme, or toward grey.'
  })

/** Share of the coloured weight of a fit's sectors that the smallest, or the largest, of them holds. */
export function shareAmong(
  { sectors }: { readonly sectors: readonly number[] },
  which: 'smallest' | 'largest'
): number {
  const total = sectors.reduce((p, q) => p + q, 0)
  return total > 0 ? (which === 'smallest' ? Math.min(...sectors) : Math.max(...sectors)) / total : 0
}

/** The accent: enough to be seen, too little to compete. Common practice, no source. */
const ACCENT = { least: 0.04, most: 0.3 } as const

/** The smaller of two is an accent. @param name what it is called, as in "the opposite". */
export const accent = (scheme: SectorScheme, name: string): Check =>
  checkOf({
    id: 'accent',
    name: 'the accent’s share',
    asks: ({ least, most }) =>
      `The smaller of the two is an accent: between ${percent(least)} and ${percent(most)} of the colour`,
    atLeast: ACCENT.least,
    atMost: ACCENT.most,
    top: 1,
    measure: measures => {
      const fit = fitOf(scheme, measures)
      return fit ? shareAmong(fit, 'smallest') : 0
    },
    say: (share, { least, most }) =>
      share < least
        ? `${name} holds ${percent(share)}: it is hardly there.`
        : share > most
          ? `${name} holds ${percent(share)}: the two compete.`
          : `${name} holds ${percent(share)}: a true accent.`,
    tip: (share, { least }) =>
      share < least
        ? 'Add it where the eye should stop, in two or three places.'
        : 'Grey most of it, or paint some of it over.'
  })

/** Where the weight of a sector lies, in degrees of the wheel. */
function middleOf({ name, rotation }: Fit, sector: number, weight: Float64Array): number {
  const { centre, half } = schemeNamed(name).sectors[sector]
  let x = 0,
    y = 0
  for (let by = -Math.floor(half); by <= half; by++) {
    const degree = (Math.round(rotation + centre + by) + 720) % 360,
      turn = (degree * Math.PI) / 180
    x += weight[degree] * Math.cos(turn)
    y += weight[degree] * Math.sin(turn)
  }
  return wrapDegrees((Math.atan2(y, x) * 180) / Math.PI)
}

/** Half a step to either side of the one that is asked. */
const TURN = { least: 135, most: 165 } as const

/** The two stand a step from facing each other: an opposite is too far, a third of the wheel too near. */
export const stepOff: Check = checkOf({
  id: 'turn',
  name: 'a step off',
  asks: (_, settings) =>
    `The two stand ${TURN.least} to ${TURN.most}° apart ${onWheel(settings)}: a step off the opposite`,
  atLeast: TURN.least,
  atMost: TURN.most,
  top: 180,
  exact: true,
  measure: measures => {
    const fit = fitOf('near-complementary', measures)
    if (!fit || Math.min(...fit.sectors) === 0) return 0
    const [key, other] = [0, 1].map(sector => middleOf(fit, sector, measures.hues.weight))
    return Math.abs(turnBetween(key, other))
  },
  say: degrees =>
    degrees === 0
      ? 'There is only one colour.'
      : degrees > TURN.most
        ? `They stand ${Math.round(degrees)}° apart: the true opposite.`
        : `They stand ${Math.round(degrees)}° apart.`,
  tip: degrees =>
    degrees > TURN.most ? 'Mix the accent toward one of its neighbours.' : 'Mix the accent toward the opposite.'
})

/** Every colour of the scheme is there. @param colours how many, as in "three". */
export const each = (scheme: SectorScheme, colours: string): Check =>
  checkOf({
    id: 'each',
    name: 'each is there',
    asks: ({ least }) => `Each of the ${colours} holds at least ${percent(least)} of the colour`,
    atLeast: HOLDS.sector,
    top: 1,
    measure: measures => {
      const fit = fitOf(scheme, measures)
      return fit ? shareAmong(fit, 'smallest') : 0
    },
    say: (share, { least }) =>
      share < least
        ? `One of the ${colours} is hardly there: ${percent(share)}.`
        : `The least of them holds ${percent(share)}.`,
    tip: () => 'Give the missing one a place of its own.'
  })

/** One colour leads. @param least share of the coloured weight, 0–1. */
export const leads = (scheme: SectorScheme, least: number): Check =>
  checkOf({
    id: 'leads',
    name: 'one leads',
    asks: bounds => `One colour leads: at least ${percent(bounds.least)} of the colour is its own`,
    atLeast: least,
    top: 1,
    measure: measures => {
      const fit = fitOf(scheme, measures)
      return fit ? shareAmong(fit, 'largest') : 0
    },
    say: (share, bounds) =>
      share < bounds.least ? `The largest holds ${percent(share)}: none leads.` : `One leads with ${percent(share)}.`,
    tip: () => 'Decide which leads, and grey or shrink the others.'
  })

const STEPS = 12
/** A step of the wheel is there from this share of the colour on. Our choice: less is an accident of mixing. */
const STEP_SHARE = 0.05

/** How many of the wheel's twelve steps hold a share of the colour. */
export function stepsUsed({ hues: { weight, totalWeight } }: HandInMeasures): number {
  const held = new Array<number>(STEPS).fill(0)
  weight.forEach((w, degree) => (held[Math.round(degree / 30) % STEPS] += w))
  return totalWeight > 0 ? held.filter(w => w / totalWeight >= STEP_SHARE).length : 0
}

export const differentSteps = (atLeast: number, atMost: number): Check =>
  checkOf({
    id: 'steps',
    name: 'steps of the wheel',
    asks: () =>
      `Between ${atLeast} and ${atMost} steps of the wheel hold at least ${percent(STEP_SHARE)} of the colour each`,
    atLeast,
    atMost,
    top: STEPS,
    exact: true,
    measure: stepsUsed,
    say: found => `${found === 1 ? 'One step is' : `${found} steps are`} there.`,
    tip: found =>
      found > atMost ? 'Leave a colour out, or mix it into a neighbour.' : 'Mix the ones you have with each other.'
  })

/** Hardly anything is vivid. @param most share of the picture, 0–1. */
export const muted = (most: number): Check =>
  checkOf({
    id: 'muted',
    name: 'how much is vivid',
    asks: bounds => `At most ${percent(bounds.most)} of the picture is vivid`,
    atMost: most,
    top: 1,
    measure: ({ planes: { chroma, mask, count } }) => {
      let strong = 0
      for (let i = 0; i < mask.length; i++) if (chroma[i] > VIVID_ABOVE) strong += mask[i]
      return count ? strong / count : 0
    },
    say: (share, bounds) =>
      share > bounds.most ? `${percent(share)} is vivid.` : `${percent(share)} is vivid: the rest is quiet.`,
    tip: () => 'Mix a little of the opposite into what shouts.'
  })

/** Bands of strength that a greyed colour goes through, from grey to its own, in OKLCH chroma. */
const BAND = 0.025
const BAND_SHARE = 0.03

/** The greys of a colour are there in steps. @param atLeast bands, of those under the vivid. */
export const greyed = (atLeast: number): Check =>
  checkOf({
    id: 'greyed',
    name: 'steps to grey',
    asks: () =>
      `At least ${atLeast} steps of strength between grey and the colour,`
      + ` each in ${percent(BAND_SHARE)} of the picture`,
    atLeast,
    top: Math.round(VIVID_ABOVE / BAND),
    exact: true,
    measure: ({ planes: { chroma, mask, count } }) => {
      const bands = new Array<number>(Math.round(VIVID_ABOVE / BAND)).fill(0)
      for (let i = 0; i < mask.length; i++) {
        const band = Math.floor(chroma[i] / BAND)
        if (band < bands.length) bands[band] += mask[i]
      }
      return count ? bands.filter(n => n / count >= BAND_SHARE).length : 0
    },
    say: found => `${found === 1 ? 'One step is' : `${found} steps are`} there.`,
    tip: () => 'Mix the steps between: half way to grey, and half way again.'
  })
