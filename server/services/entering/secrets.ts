/**
 * The secret of the house, and while it is being changed the one before it, which still opens what was closed by it:
 * links and slips that are out, sessions, second steps. Nothing is closed by the older one any more.
 */
import { timingSafeEqual } from 'node:crypto'
import { settings } from '../../settings'

export const secret = (): string => settings().CRITICA_SECRET

/** The one in use first. */
export function secrets(): readonly string[] {
  const { CRITICA_SECRET, CRITICA_SECRET_OLD } = settings()
  return CRITICA_SECRET_OLD ? [CRITICA_SECRET, CRITICA_SECRET_OLD] : [CRITICA_SECRET]
}

/** Whether a seal is what one of the secrets makes. @param given in base64url, from outside. */
export function sealedByUs(given: string | undefined, seal: (secret: string) => Buffer): boolean {
  const bytes = Buffer.from(given ?? '', 'base64url')
  return secrets().some(own => {
    const right = seal(own)
    return bytes.length === right.length && timingSafeEqual(bytes, right)
  })
}
