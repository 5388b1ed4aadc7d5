import { createHash } from 'node:crypto'
import { getRequestHeader, type H3Event } from 'h3'
import { AppError } from '../../shared/errors'

/**
 * What tells a change from another one, where its sender wants it made once however often it is sent: 32 bytes of the
 * header `Idempotency-Key`, its method and its path. @returns null without one. @throws AppError invalid.
 */
export function keyOf(event: H3Event): Buffer | null {
  const key = getRequestHeader(event, 'idempotency-key')
  if (key === undefined) return null
  if (!/^"?[\w-]{16,100}"?$/.test(key))
    throw new AppError('invalid', 'An Idempotency-Key has 16 to 100 letters, digits, lines or hyphens.')
  return createHash('sha256').update(`${event.method} ${event.path}\n${key}`).digest()
}
