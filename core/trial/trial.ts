/**
 * A trial: what an area would look like with its value, range, temperature, colour or edges changed. A
 * short list of operations, never touching the original; it demonstrates, it does not repaint.
 */
import type { StrokePoint } from '../picture/stroke'
import type { WheelName } from '../wheel/steps'

export type TrialOperation =
  /** Lifts or lowers the value by so many steps of L*. */
  | { readonly kind: 'value'; readonly by: number }
  /** Stretches (over 1) or compresses the values about their mean. */
  | { readonly kind: 'range'; readonly times: number }
  /** Warms (positive) or cools, in steps of T. */
  | { readonly kind: 'temperature'; readonly by: number }
  /** Mutes (under 1) or enriches. */
  | { readonly kind: 'chroma'; readonly times: number }
  /** Turns the hue toward a place on a wheel; share 1 arrives there. */
  | { readonly kind: 'hue'; readonly wheel: WheelName; readonly position: number; readonly share: number }
  /** Multiplies the light per linear channel: takes a shadow to where one light would put it. */
  | { readonly kind: 'light'; readonly ratio: readonly [number, number, number] }
  /** Softens (negative) or sharpens; 1 doubles the local contrast of value. */
  | { readonly kind: 'edges'; readonly by: number }
  /** Gives flat black the hue and chroma of a mixed one, at its own value. */
  | { readonly kind: 'black'; readonly hex: string }

export type TrialKind = TrialOperation['kind']

export interface Trial {
  /** Applied to everything but the area. */
  readonly outside: boolean
  /** Width over which the edge of the area fades, as a share of the diagonal, 0–0.1. */
  readonly feather: number
  /** How much of the change is shown, 0–1. */
  readonly strength: number
  /** In the order they are applied. */
  readonly operations: readonly TrialOperation[]
  /** A few strokes painted over it all, to show what is meant; not bound to the area. */
  readonly strokes?: readonly PaintedStroke[]
}

export interface PaintedStroke {
  readonly hex: string
  /** As a share of the diagonal. */
  readonly width: number
  readonly points: readonly StrokePoint[]
}

/** Whether a trial shows anything at all. */
export const showsSomething = ({ operations, strokes }: Trial): boolean =>
  operations.length > 0 || (strokes?.length ?? 0) > 0

/** What each operation may be set to. */
export const TRIAL_LIMITS = {
  value: 50,
  rangeLeast: 0.2,
  rangeMost: 3,
  temperature: 80,
  chroma: 3,
  edges: 2,
  feather: 0.1,
  operations: 8,
  strokes: 12,
  strokeWidth: 0.06
} as const
