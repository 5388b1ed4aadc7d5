/**
 * A form checked by its contract before it is sent: what is wrong stands at its field, and goes as soon as the field is
 * changed.
 */
import type { z } from 'zod'
import { fieldErrors } from '~/utils/fieldErrors'

/** @param fields what is written: an object of fields, or a list of them. */
export function useCheckedForm<S extends z.ZodType>(schema: S, fields: () => object) {
  const wrong = shallowRef<Readonly<Record<string, string>>>({})
  watch(
    (): Readonly<Record<string, unknown>> => ({ ...fields() }),
    (now, before) => {
      const kept = Object.entries(wrong.value).filter(([name]) => now[name] === before[name])
      wrong.value = Object.fromEntries(kept)
    }
  )
  /** @returns what was written, as the contract reads it; null when something is wrong, which `wrong` then says. */
  function check(): z.infer<S> | null {
    const checked = schema.safeParse(fields())
    wrong.value = checked.success ? {} : fieldErrors(checked.error)
    return checked.success ? checked.data : null
  }
  return { wrong: readonly(wrong), check }
}
