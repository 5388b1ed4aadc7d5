/** Readings of the marked materials, and of the light they share. */
import { isMeasured, type LightSection, type MaterialLight } from '../../../measure/report'
import type { Reading } from '../../reading'
import type { HouseStandards } from '../../standards'
import { capital, list } from '../../words'
import { WHY_DARKER } from './ambient'

const WHY = {
  one:
    'One light dims every material by the same ratio, whatever its colour.'
    + ' A shadow that follows another ratio belongs to another light.',
  families:
    'On one material no tone in the shadow may be lighter than the darkest in the light, or the form falls apart.'
}

/** The words a material's name begins a sentence with. */
const named = (name: string): string => capital(name)

function leavesReading(material: MaterialLight, standard: number): Reading {
  const { name, deviation, stops, expected } = material
  const way =
    stops > 0.15
      ? `${Math.abs(stops).toFixed(1)} stops too light`
      : stops < -0.15
        ? `${Math.abs(stops).toFixed(1)} stops too dark`
        : 'of another colour'
  return {
    id: `light.leaves.${name}`,
    station: 'light',
    verdict: 'fix',
    why: WHY.one,
    trains: [],
    sentence:
      `${named(name)} leaves the light:`
      + ` its shadow is ${Math.round(deviation)} away from where the others put it, ${way}. Expected is ${expected}.`,
    figure: {
      unit: 'difference',
      value: deviation,
      standard,
      low: 0,
      high: 40,
      label: `ΔE00 ${deviation} from the expected shadow, at most ${standard} wanted`
    },
    correction: {
      what: `${named(name)} leaves the light.`,
      todo: `Take its shadow toward ${expected}, the colour that one light would give it.`,
      target: null
    }
  }
}

export function materialReadings({ materials }: LightSection, standards: HouseStandards): Reading[] {
  const measured = materials.filter(isMeasured)
  const leaving = measured.length >= 3 ? measured.filter(m => m.deviation > standards.leavesLight) : []
  const readings = leaving.map(m => leavesReading(m, standards.leavesLight))
  if (measured.length >= 3 && leaving.length === 0) {
    readings.push({
      id: 'light.one',
      station: 'light',
      verdict: 'works',
      why: WHY.one,
      trains: ['shadow-colour'],
      sentence: `One light holds all: ${list(measured.map(m => m.name))} agree.`
    })
  }
  const dead = measured.filter(m => m.onlyDarker)
  if (dead.length > 0) {
    readings.push({
      id: 'light.only-darker',
      station: 'light',
      verdict: 'look',
      why: WHY_DARKER,
      trains: ['shadow-colour'],
      sentence: `${named(list(dead.map(m => m.name)))}: the shadow is only darker, not turned toward the surroundings.`
    })
  }
  for (const m of measured.filter(({ overlap }) => overlap > 0)) {
    readings.push({
      id: `light.overlap.${m.name}`,
      station: 'light',
      verdict: 'look',
      why: WHY.families,
      trains: [],
      sentence: `${named(m.name)}: the shadow reaches ${Math.round(m.overlap)} steps into the light.`
    })
  }
  return readings
}
