/**
 * Words that the server does not have yet, kept in this browser: a closed tab, a crash or a lost line takes nothing.
 * They are their writer's: kept under the account, and gone with the sign-out, as the browser may be another's next.
 */
import type { z } from 'zod'

const PREFIX = 'critica-kept:'

export interface Kept<T> {
  readonly read: () => T | null
  readonly keep: (value: T) => void
  readonly drop: () => void
}

/** @param what names the words, as in `words:12`. @param schema what is not of it any more is as good as nothing. */
export function keptWords<S extends z.ZodType>(accountId: number, what: string, schema: S): Kept<z.infer<S>> {
  const key = `${PREFIX}${accountId}:${what}`
  return {
    read() {
      try {
        const found = schema.safeParse(JSON.parse(localStorage.getItem(key) ?? 'null'))
        return found.success ? found.data : null
      } catch {
        return null
      }
    },
    keep(value) {
      try {
        localStorage.setItem(key, JSON.stringify(value))
      } catch {
        /* a browser without room or leave for it keeps nothing; the server still gets everything */
      }
    },
    drop: () => localStorage.removeItem(key)
  }
}

export function dropAllKept(): void {
  for (const key of Object.keys(localStorage)) if (key.startsWith(PREFIX)) localStorage.removeItem(key)
}
