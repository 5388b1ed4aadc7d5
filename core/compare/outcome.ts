/** What two versions come to, laid on one another: as it is kept and shown. Nothing here measures. */
import type { TargetState } from '../critique/target'
import type { Registration } from '../register/register'
import type { LightBetween } from './light'
import type { Moved } from './moved'
import type { Landing } from './verdict'

export interface Landed {
  readonly landing: Landing
  readonly before: TargetState | null
  readonly after: TargetState | null
}

/** Both versions measured side by side in the old one's frame. */
export interface Outcome {
  readonly landed: readonly Landed[]
  /** Readings whose figure moved by more than a new photograph moves it. */
  readonly moved: readonly Moved[]
}

export interface Comparison {
  readonly registration: Registration
  /** Of the old picture, what both show: 0–1. */
  readonly shared: number
  /** Null when one does not lie on the other. */
  readonly light: LightBetween | null
  /** As it was photographed. */
  readonly seen: Outcome
  /** With another light taken out; null where there is none to speak of, or it cannot be told. */
  readonly evened: Outcome | null
}

/** What is believed of two versions: with another light taken out where there is one. */
export const believed = ({ evened, seen }: Pick<Comparison, 'evened' | 'seen'>): Outcome => evened ?? seen

/** Readings whose move goes with the light: taking it out would hide it, were it the painter's own doing. */
export function hiddenByLight({ evened, seen }: Pick<Comparison, 'evened' | 'seen'>): Moved[] {
  return evened ? seen.moved.filter(m => !evened.moved.some(e => e.id === m.id)) : []
}
