/** The session cookie: sealed by h3, HttpOnly, SameSite; it carries a token whose hash is in the database. */
import { useSession, type H3Event } from 'h3'
import type { Account } from '../../shared/account'
import { accountOfToken } from '../services/accounts'
import { settings } from '../settings'

interface Sealed { token?: string }

export function sealedSession(event: H3Event): ReturnType<typeof useSession<Sealed>> {
  const { CRITICA_SECRET, CRITICA_SECURE_COOKIE } = settings()
  return useSession<Sealed>(event, {
    name: 'critica',
    password: CRITICA_SECRET,
    maxAge: 14 * 86_400,
    cookie: { httpOnly: true, sameSite: 'lax', secure: CRITICA_SECURE_COOKIE, path: '/' }
  })
}

/** The signed-in account, or null. Reads the cookie without setting one. */
export async function accountOf(event: H3Event): Promise<Account | null> {
  const { data } = await sealedSession(event)
  return data.token ? accountOfToken(data.token) : null
}
