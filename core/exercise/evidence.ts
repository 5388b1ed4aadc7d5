/** What a check stands on, seen on the picture: one of the lenses, set as the exercise was. */
import type { LensRequest } from '../lens/lens'
import type { HueHistogram } from '../measure/harmony/hues'
import { bestFit } from '../measure/harmony/scheme'
import type { Plan } from './plan/plan'
import type { Settings } from './settings'
import { exerciseSet, type WhatIsSet } from './checking'
import type { ExerciseKey } from './shelf'

/** Masses that an exercise asks for; null as the picture itself divides. */
const MASSES: Partial<Readonly<Record<ExerciseKey, number>>> = {
  'two-values': 2,
  'three-values': 3,
  'ladder-5': 5
}
/** More masses than the eye tells apart in one picture are seen as plain values. */
const FINE: readonly ExerciseKey[] = ['ladder-7', 'ladder-9']

interface Checked extends WhatIsSet {
  readonly settings: Pick<Settings, 'wheel'>
  readonly plan: Plan | null
  /** Of the hand-in, on the exercise's wheel. */
  readonly hues: HueHistogram
}

/** @param check its id. @returns null where nothing on the picture shows it. */
export function evidenceOf(
  check: string,
  { exercise, own, settings: { wheel }, plan, hues }: Checked
): LensRequest | null {
  const { plan: scheme } = exerciseSet({ exercise, own })
  // Two checks of one kind are told apart by their place.
  switch (check.replace(/-\d+$/, '')) {
    case 'coverage': {
      if (!scheme || hues.totalWeight === 0) return null
      return { name: 'off-scheme', wheel, scheme, rotation: bestFit(scheme, hues.weight).rotation }
    }
    case 'plan':
    case 'amounts-planned':
      return plan && { name: 'off-scheme', wheel, scheme: plan.scheme, rotation: Math.round(plan.hue) % 360 }
    case 'accent':
    case 'each':
    case 'leads':
    case 'turn':
    case 'key':
    case 'steps':
    case 'all':
    case 'amounts':
    case 'same':
    case 'equal':
    case 'leader':
    case 'small':
      return { name: 'families', wheel }
    case 'masses':
    case 'apart':
    case 'large':
    case 'even':
    case 'values':
    case 'range':
    case 'structure':
    case 'held':
    case 'read':
    case 'different':
    case 'darker':
      return FINE.includes(exercise) ? { name: 'grey' } : { name: 'groups', count: MASSES[exercise] ?? null }
    case 'black':
    case 'dark':
      return { name: 'near-black' }
    case 'both':
    case 'coloured':
    case 'one-light':
      return { name: 'temperature' }
    case 'muted':
      return { name: 'vivid' }
    case 'greyed':
    case 'strong':
      return { name: 'strength' }
    default:
      return null
  }
}

/** Whether anything shows it: known before the picture is looked at. */
export const hasEvidence = (check: string): boolean => check.replace(/-\d+$/, '') !== 'studies'
