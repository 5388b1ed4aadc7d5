/** A trial's operations as sliders: each kind has at most one, neutral means none. */
import type { Trial, TrialKind, TrialOperation } from '~~/core/trial/trial'

export interface TrialSlider {
  readonly kind: Extract<TrialKind, 'value' | 'range' | 'temperature' | 'chroma' | 'edges'>
  readonly less: string
  readonly more: string
  readonly low: number
  readonly high: number
  readonly step: number
  readonly neutral: number
}

export const TRIAL_SLIDERS: readonly TrialSlider[] = [
  { kind: 'value', less: 'lower the value', more: 'lift it', low: -40, high: 40, step: 1, neutral: 0 },
  { kind: 'range', less: 'fewer values', more: 'more range', low: 0.2, high: 2.5, step: 0.05, neutral: 1 },
  { kind: 'temperature', less: 'cool', more: 'warm', low: -60, high: 60, step: 1, neutral: 0 },
  { kind: 'chroma', less: 'mute', more: 'enrich', low: 0, high: 2.5, step: 0.05, neutral: 1 },
  { kind: 'edges', less: 'soften', more: 'sharpen', low: -1, high: 2, step: 0.1, neutral: 0 }
]

export const NO_TRIAL: Trial = { outside: false, feather: 0.01, strength: 1, operations: [] }

/** The order in which operations are applied, whatever order they were set in. */
const ORDER: readonly TrialKind[] = ['light', 'black', 'value', 'range', 'edges', 'hue', 'temperature', 'chroma']

/** The trial with one operation set, or with null taken away. */
export function withOperation(trial: Trial, kind: TrialKind, operation: TrialOperation | null): Trial {
  const operations = [...trial.operations.filter(o => o.kind !== kind), ...(operation ? [operation] : [])]
  return { ...trial, operations: operations.sort((p, q) => ORDER.indexOf(p.kind) - ORDER.indexOf(q.kind)) }
}

const amountOf = (operation: TrialOperation): number =>
  'by' in operation ? operation.by : 'times' in operation ? operation.times : 'share' in operation ? operation.share : 1

export function settingOf(trial: Trial, { kind, neutral }: TrialSlider): number {
  const found = trial.operations.find(o => o.kind === kind)
  return found ? amountOf(found) : neutral
}

export function withSetting(trial: Trial, { kind, neutral }: TrialSlider, amount: number): Trial {
  if (amount === neutral) return withOperation(trial, kind, null)
  return withOperation(
    trial,
    kind,
    kind === 'range' || kind === 'chroma' ? { kind, times: amount } : { kind, by: amount }
  )
}
