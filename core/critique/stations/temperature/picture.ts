/** Readings of the whole picture's temperature. */
import { convertLinearToOklab } from '../../../colour/oklab'
import { linearOfHex } from '../../../colour/srgb'
import { temperatureOf } from '../../../colour/temperature'
import { isMeasured, type LightSection, type TemperatureSection, type ValueSection } from '../../../measure/report'
import type { Reading } from '../../reading'
import type { HouseStandards } from '../../standards'
import { capital, list, percent } from '../../words'

const WHY = {
  light:
    'Light and shadow part by temperature as much as by value. Where one material is seen in both,'
    + ' warm light with cool shadow, or the reverse, is what makes light read as light.',
  balance:
    'Temperature is relative: a grey is warm beside cyan.'
    + ' A picture leans one way, and what leans the other is seen first.',
  darks: 'The darkest darks carry the mood. Black paint makes them neither; mixed darks are warm or cool by choice.'
}

/** Within this a mean is neither warm nor cool. */
const NEITHER = 5
/** With more than this neither warm nor cool the picture is grey, and its lights and darks say nothing of its light. */
const GREY = 0.9

const sideOf = (t: number): 'warm' | 'cool' | null => (t > NEITHER ? 'warm' : t < -NEITHER ? 'cool' : null)
const of = (hex: string): number => temperatureOf(convertLinearToOklab(linearOfHex(hex)))

/** One material in light and in shade says more of the light than the colours of different things. */
function materialSentence(light: LightSection, standard: number): string | null {
  const seen = light.materials.filter(isMeasured).map(m => ({ name: m.name, lit: of(m.lit), shadow: of(m.shadow) }))
  if (seen.length === 0) return null
  const apart = seen.map(m => m.lit - m.shadow),
    mean = apart.reduce((p, q) => p + q, 0) / apart.length
  if (Math.abs(mean) < standard || apart.some(t => Math.sign(t) !== Math.sign(mean))) return null
  const way = mean > 0 ? 'Warm light, cooler shadow' : 'Cool light, warmer shadow'
  const by = `${seen.length > 1 ? 'are' : 'is'} ${Math.round(Math.abs(mean))} ${mean > 0 ? 'warmer' : 'cooler'}`
  return `${way}: ${list(seen.map(m => m.name))} ${by} in the light than in the shade.`
}

/**
 * The colour of things is not the colour of light: unless the two ends differ in sign, only which is warmer is said.
 */
function endsSentence({ lights, darks, lightMinusDark }: TemperatureSection, standard: number): string | null {
  if (Math.abs(lightMinusDark) < standard) return null
  const light = sideOf(lights),
    dark = sideOf(darks),
    apart = Math.round(Math.abs(lightMinusDark))
  if (light === 'warm' && dark === 'cool') return `Warm lights, cool darks: ${apart} apart.`
  if (light === 'cool' && dark === 'warm') return `Cool lights, warm darks: ${apart} apart.`
  const whole = light !== null && light === dark ? `All of it is ${light}; the` : 'The'
  return lightMinusDark > 0
    ? `${whole} lights are ${apart} warmer than the darks.`
    : `${whole} lights are ${apart} cooler than the darks.`
}

const ofLight = (sentence: string): Reading => ({
  id: 'temperature.light',
  station: 'temperature',
  verdict: 'works',
  why: WHY.light,
  trains: [],
  sentence,
  evidence: { name: 'temperature' }
})

/** Of the marked materials; null where they do not agree, or none is marked. */
export function materialsReading(light: LightSection | null, { lightMinusDark }: HouseStandards): Reading | null {
  const sentence = light && materialSentence(light, lightMinusDark)
  return sentence ? ofLight(sentence) : null
}

/** Of the picture as a whole: null of a grey one, and where light and dark are alike: of that nothing follows. */
export function lightAndDarkReading(
  section: TemperatureSection,
  { lightMinusDark: standard }: HouseStandards
): Reading | null {
  const sentence = section.neither > GREY ? null : endsSentence(section, standard)
  if (!sentence) return null
  const apart = Math.abs(section.lightMinusDark)
  return {
    ...ofLight(sentence),
    figure: {
      unit: 'temperature',
      value: apart,
      standard,
      low: 0,
      high: 60,
      label: `lights and darks ${Math.round(apart)} apart, ${standard} wanted`,
      house: 'lightMinusDark'
    }
  }
}

/** A picture leans from this mean on; the side that leans the other way is worth naming from this share on. */
const LEANS = 6,
  COUNTS = 0.02

/** Null of a picture that leans neither way. */
export function balanceReading({ warm, cool, neither, mean }: TemperatureSection): Reading | null {
  const lean = mean > LEANS ? 'warm' : mean < -LEANS ? 'cool' : null
  if (!lean) return null
  const parts = [
    [warm, 'warm'],
    [cool, 'cool'],
    [neither, 'neither']
  ] as const
  const against = lean === 'warm' ? cool : warm
  const shares = list(parts.filter(([share]) => share >= COUNTS).map(([share, word]) => `${percent(share)} ${word}`))
  return {
    id: 'temperature.balance',
    station: 'temperature',
    verdict: 'works',
    why: WHY.balance,
    trains: [],
    sentence:
      `The picture leans ${lean}: ${shares}.`
      + (against >= COUNTS && against < 0.2
        ? ` What is ${lean === 'warm' ? 'cool' : 'warm'} in it is seen the sooner.`
        : ''),
    evidence: { name: 'relative-temperature' }
  }
}

/** Darks that lean speak from this on, in a picture that has some. */
const DARKS_LEAN = 8,
  SOME_DARKS = 0.1

export function darksReading({ darkest }: TemperatureSection, value: ValueSection | null): Reading | null {
  if (Math.abs(darkest) < DARKS_LEAN || (value && value.thirds.dark < SOME_DARKS)) return null
  return {
    id: 'temperature.darks',
    station: 'temperature',
    verdict: 'works',
    why: WHY.darks,
    trains: [],
    sentence:
      `${capital(darkest > 0 ? 'the darkest darks are warm' : 'the darkest darks are cool')}:`
      + ' they have a colour of their own.',
    evidence: { name: 'temperature' }
  }
}
