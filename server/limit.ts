/**
 * Nobody is left waiting: what takes longer than its limit is answered for, and whatever still runs runs on unheard.
 */

/** @param late what is thrown when the work is not done in time. */
export async function within<T>(limitMs: number, late: () => Error, work: () => Promise<T>): Promise<T> {
  let timer: NodeJS.Timeout | undefined
  const over = new Promise<never>((_, reject) => {
    timer = setTimeout(() => reject(late()), limitMs)
  })
  try {
    return await Promise.race([work(), over])
  } finally {
    clearTimeout(timer)
  }
}
