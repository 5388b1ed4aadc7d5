/**
 * One question in flight, and the newest is asked next: what came between is dropped. For a hand that moves faster than
 * it is answered.
 *
 * @param answer asks and takes the answer; what it throws is the caller's who asked first.
 */
export function latest<Q>(answer: (question: Q) => Promise<void>): (question: Q) => Promise<void> {
  let waiting: { readonly question: Q } | null = null,
    busy = false
  return async question => {
    waiting = { question }
    if (busy) return
    busy = true
    try {
      while (waiting) {
        const next: { readonly question: Q } = waiting
        waiting = null
        await answer(next.question)
      }
    } finally {
      busy = false
    }
  }
}
