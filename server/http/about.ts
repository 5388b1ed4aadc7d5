/** What is told of a request to whoever keeps the server, and by which a person can report it. */
import type { H3Event } from 'h3'
import { newRequestId } from '../log'
import { basePath } from '../settings'

/**
 * What a request is about: the first word of its path. Numbers, links and names are left out: they are people's, and
 * without end.
 */
export function aboutOf(path: string): string {
  const base = basePath(),
    [, first = '', second = ''] = path
      .slice(path.startsWith(`${base}/`) ? base.length : 0)
      .split('?')[0]!
      .split('/')
  if (first !== 'api') return first === '_nuxt' ? 'file' : first === 'healthz' || first === 'readyz' ? first : 'page'
  return /^[a-z-]{1,24}$/.test(second) ? `api/${second}` : 'api'
}

/** The request's own id, made when it is first asked for. */
export const requestOf = (event: H3Event): string => (event.context.requestId ??= newRequestId()) as string
