/**
 * A sitting: pieces worked through one after the other in front of others. One is up; the rest wait in their order,
 * were talked about, or are parked until somebody picks them.
 */
export const STANDINGS = ['waiting', 'said', 'parked'] as const
export type Standing = (typeof STANDINGS)[number]

/** @property place where it stands in the order; the lowest that waits is next. */
export interface Queued {
  readonly id: number
  readonly place: number
  readonly standing: Standing
}

/** @property up the piece that hangs before the room, while it still counts as waiting; null when none does. */
export interface Queue {
  readonly pieces: readonly Queued[]
  readonly up: number | null
}

/** What is done with the piece that is up: it was talked about; later, behind all that wait; set aside. */
export const STEPS = ['next', 'later', 'park'] as const
export type Step = (typeof STEPS)[number]

const firstWaiting = (pieces: readonly Queued[], but: number | null = null): number | null =>
  pieces.filter(p => p.standing === 'waiting' && p.id !== but).sort((p, q) => p.place - q.place)[0]?.id ?? null

const changed = (pieces: readonly Queued[], id: number | null, change: Partial<Queued>): readonly Queued[] =>
  pieces.map(p => (p.id === id ? { ...p, ...change } : p))

/** @param queue its pieces' places are distinct. The only one that waits stays up when it is left for later. */
export function stepped({ pieces, up }: Queue, step: Step): Queue {
  if (step === 'later') {
    const last = Math.max(-1, ...pieces.map(p => p.place)),
      after = changed(pieces, up, { place: last + 1, standing: 'waiting' })
    return { pieces: after, up: firstWaiting(after, up) ?? up }
  }
  const after = changed(pieces, up, { standing: step === 'next' ? 'said' : 'parked' })
  return { pieces: after, up: firstWaiting(after) }
}

/** One is picked by hand, whatever it was; the one that was up waits again, in its place. */
export function picked({ pieces }: Queue, id: number): Queue {
  return { pieces: changed(pieces, id, { standing: 'waiting' }), up: id }
}

/** Before anything was done: the first of those that wait is up. */
export const begun = (pieces: readonly Queued[]): Queue => ({ pieces, up: firstWaiting(pieces) })
