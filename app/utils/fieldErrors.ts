/** What is wrong with a form, field by field. */
import type { z } from 'zod'

/** @returns the first sentence for each field that has one, by the field's name; what belongs to no field under ''. */
export function fieldErrors({ issues }: z.ZodError): Readonly<Record<string, string>> {
  const found: Record<string, string> = {}
  for (const { path, message } of issues) found[String(path[0] ?? '')] ??= message
  return found
}
