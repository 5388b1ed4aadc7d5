/**
 * Bringing modules one after another. A module graph is evaluated in one task; brought as a whole, a page's graph would
 * hold the page for longer than a hand notices. Brought part by part, each evaluates in a task of its own.
 */

/**
 * @returns when the next task begins: the page may paint and answer in between, which a promise alone would not allow.
 */
export const nextTask = (): Promise<void> => new Promise(resolve => setTimeout(resolve))

/**
 * @param parts what is imported, in this order; a part brings only what those before it have not.
 * @param between what is waited for after each.
 */
export async function oneByOne(
  parts: readonly (() => Promise<unknown>)[],
  between: () => Promise<void> = nextTask
): Promise<void> {
  for (const part of parts) {
    await part()
    await between()
  }
}
