/** What a small view among many shows of a picture: its range and its colour families. */
import { isMeasured, type Report } from './report'
import type { StepName, WheelName } from '../wheel/steps'

export interface Fingerprint {
  readonly wheel: WheelName
  /** L* 0–100. */
  readonly darkest: number
  readonly lightest: number
  readonly range: number
  /**
   * Place on the wheel in degrees, share of the coloured weight, mean OKLab chroma; empty for a picture without colour.
   */
  readonly families: readonly {
    readonly step: StepName
    readonly position: number
    readonly weight: number
    readonly chroma: number
  }[]
}

/** @returns null for a picture that has no values: nothing of it is opaque. */
export function fingerprintOf({ value, harmony, wheel }: Report): Fingerprint | null {
  if (!isMeasured(value)) return null
  const { darkest, lightest, range } = value
  const families =
    isMeasured(harmony) && isMeasured(harmony.families)
      ? harmony.families.map(({ step, position, weight, chroma }) => ({ step, position, weight, chroma }))
      : []
  return { wheel, darkest, lightest, range, families }
}
