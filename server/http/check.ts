/** What was sent, held against its contract. */
import type { z } from 'zod'
import { AppError } from '../../shared/errors'

/** @throws AppError invalid with the first thing that is wrong, in the schema's words. */
export function check<S extends z.ZodType>(schema: S, input: unknown): z.infer<S> {
  const result = schema.safeParse(input)
  if (result.success) return result.data
  const issue = result.error.issues[0]!
  throw new AppError('invalid', issue.path.length ? `${issue.message} (${issue.path.join('.')})` : issue.message)
}
