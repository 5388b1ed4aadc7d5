/** Readings of the whole picture's temperature. */
import type { TemperatureSection } from '../../../measure/report'
import type { Reading } from '../../reading'
import type { HouseStandards } from '../../standards'
import { percent } from '../../words'

const WHY = {
  light:
    'Light and shadow part by temperature as much as by value. Warm light with cool shadow, or the reverse, is what makes light read as light.',
  balance:
    'Temperature is relative: a grey is warm beside cyan. A picture leans one way, and what leans the other is seen first.',
  darks: 'The darkest darks carry the mood. Black paint makes them neither; mixed darks are warm or cool by choice.'
}

const leaning = (t: number): string => (t > 5 ? 'warm' : t < -5 ? 'cool' : 'neither warm nor cool')

export function lightAndDarkReading(
  { lights, darks, lightMinusDark }: TemperatureSection,
  standards: HouseStandards
): Reading {
  const parted = Math.abs(lightMinusDark) > standards.lightMinusDark
  return {
    id: 'temperature.light',
    station: 'temperature',
    verdict: parted ? 'works' : 'look',
    why: WHY.light,
    trains: [],
    sentence:
      lightMinusDark > standards.lightMinusDark
        ? `Warm light, cool shadow: the lights are ${Math.round(lightMinusDark)} warmer than the darks.`
        : lightMinusDark < -standards.lightMinusDark
          ? `Cool light, warm shadow: the lights are ${Math.round(-lightMinusDark)} cooler than the darks.`
          : `Light and dark have the same temperature: ${Math.round(lights)} and ${Math.round(darks)}. The light does not read as light.`,
    figure: {
      unit: 'temperature',
      value: Math.abs(lightMinusDark),
      standard: standards.lightMinusDark,
      low: 0,
      high: 60,
      label: `lights and darks ${Math.round(Math.abs(lightMinusDark))} apart, ${standards.lightMinusDark} wanted`
    },
    evidence: { name: 'temperature' }
  }
}

export function balanceReading({ warm, cool, neither, mean }: TemperatureSection): Reading {
  const lean =
    mean > 3 ? 'The picture leans warm' : mean < -3 ? 'The picture leans cool' : 'The picture leans neither way'
  return {
    id: 'temperature.balance',
    station: 'temperature',
    verdict: 'works',
    why: WHY.balance,
    trains: [],
    sentence: `${lean}: ${percent(warm)} warm, ${percent(cool)} cool, ${percent(neither)} neither.`,
    evidence: { name: 'relative-temperature' }
  }
}

export function darksReading({ darkest }: TemperatureSection): Reading {
  return {
    id: 'temperature.darks',
    station: 'temperature',
    verdict: Math.abs(darkest) > 5 ? 'works' : 'look',
    why: WHY.darks,
    trains: [],
    sentence: `The darkest tenth is ${leaning(darkest)} (${Math.round(darkest)}).`,
    evidence: { name: 'temperature' }
  }
}
