/**
 * The session cookie: sealed by h3, HttpOnly, SameSite; it carries a token whose hash is in the database. It is set by
 * coming in, and anew when a session's rights changed; reading it sets none.
 */
import { randomUUID } from 'node:crypto'
import { clearSession, getCookie, unsealSession, updateSession, type H3Event, type SessionConfig } from 'h3'
import { LRUCache } from 'lru-cache'
import type { Account } from '../../shared/account'
import { accountOfToken, SESSION_DAYS } from '../services/entering/accounts'
import { secret, secrets } from '../services/entering/secrets'
import { basePath, settings } from '../settings'

interface Sealed {
  token?: string
}
/**
 * Behind HTTPS a name that browsers take from this very host alone, over HTTPS, for all of it (RFC 6265bis, 4.1.3.2).
 * Two of us on one host, each under a path, are told apart by it: such a cookie is the host's, whatever the path.
 */
const nameOf = (): string =>
  `${settings().CRITICA_SECURE_COOKIE ? '__Host-' : ''}critica${basePath().replace(/[^a-z\d]+/gi, '-')}`

function sealing(password = secret()): SessionConfig {
  const { CRITICA_SECURE_COOKIE } = settings()
  return {
    name: nameOf(),
    password,
    maxAge: SESSION_DAYS * 86_400,
    sessionHeader: false,
    cookie: { httpOnly: true, sameSite: 'lax', secure: CRITICA_SECURE_COOKIE, path: '/' }
  }
}

interface Opened {
  readonly token: string | null
  /** Whether an older secret sealed it. */
  readonly old: boolean
}
/**
 * What cookies held a moment ago. A cookie is unsealed by keys that are derived anew each time, which took a sixth of
 * the server's time under load; whether its token still stands, the database is asked each time.
 */
const held = new LRUCache<string, Opened>({ max: 5000, ttl: 5 * 60_000 })

/** The token in the cookie, or null when there is none or it is not ours. */
async function opened(event: H3Event): Promise<Opened> {
  const sealed = getCookie(event, nameOf()),
    known = sealed && held.get(sealed)
  if (known) return known
  for (const [i, password] of sealed ? secrets().entries() : []) {
    const { data } = await unsealSession(event, sealing(password), sealed!).catch(() => ({ data: undefined }))
    const token = (data as Sealed | undefined)?.token
    if (!token) continue
    const found = { token, old: i > 0 }
    held.set(sealed!, found)
    return found
  }
  return { token: null, old: false }
}

export const tokenOf = async (event: H3Event): Promise<string | null> => (await opened(event)).token

/** The signed-in account, or null. Where its rights changed since, the cookie gets another token. */
export async function accountOf(event: H3Event): Promise<Account | null> {
  const { token, old } = await opened(event),
    found = token === null ? null : await accountOfToken(token)
  if (found?.token) await beginSession(event, found.token)
  else if (found && token && old) await beginSession(event, token)
  return found?.account ?? null
}

/** A session of its own for a new sign-in, whatever cookie came with it. */
export async function beginSession(event: H3Event, token: string): Promise<void> {
  event.context.sessions = { [nameOf()]: { id: randomUUID(), createdAt: Date.now(), data: { token } } }
  await updateSession<Sealed>(event, sealing())
}

export const endSession = (event: H3Event): Promise<void> => clearSession(event, sealing())
