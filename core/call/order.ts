/** In which order the pieces of an open call are looked at. */
import { seededRandom } from '../numeric/random'

export const CALL_ORDERS = ['first', 'lot', 'chosen'] as const
export type CallOrder = (typeof CALL_ORDERS)[number]

/**
 * By lot: everybody who was told the seed beforehand draws the same (R. Durstenfeld, "Algorithm 235: Random
 * permutation", CACM 7(7), 1964). @param ids in any order: it does not matter who came first. @param seed 32 bits.
 */
export function drawLots(ids: readonly number[], seed: number): number[] {
  const drawn = [...ids].sort((p, q) => p - q),
    random = seededRandom(seed)
  for (let i = drawn.length - 1; i > 0; i--) {
    const j = Math.floor((i + 1) * random())
    ;[drawn[i], drawn[j]] = [drawn[j], drawn[i]]
  }
  return drawn
}
