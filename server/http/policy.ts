/**
 * What a browser may do with an answer (Content Security Policy Level 3; RFC 6797 for HTTPS). Nothing comes from
 * elsewhere, nothing of ours is framed elsewhere, and where a person was is told to nobody.
 */
import { createHash } from 'node:crypto'

/** Styles are set by the components one by one; a style can show, and cannot run. */
const PAGE = {
  'default-src': "'self'",
  // Measuring in a worker assembles a kernel of ours; the pages themselves may not.
  'script-src': "'self' 'wasm-unsafe-eval'",
  'style-src': "'self' 'unsafe-inline'",
  'img-src': "'self' blob: data:",
  'worker-src': "'self' blob:",
  'object-src': "'none'",
  'base-uri': "'none'",
  'form-action': "'self'",
  'frame-ancestors': "'none'"
} as const

const written = (directives: Readonly<Record<string, string>>): string =>
  Object.entries(directives)
    .map(([name, value]) => `${name} ${value}`)
    .join('; ')

export const PAGE_POLICY = written(PAGE)

/** The policy of one page: its own inline scripts may run, each named by its hash. */
export function policyOf(html: string): string {
  const inline = [...html.matchAll(/<script(?![^>]*\bsrc=)[^>]*>([\s\S]*?)<\/script>/g)].map(([, code]) => code!)
  const hashes = inline.map(code => ` 'sha256-${createHash('sha256').update(code).digest('base64')}'`)
  return written({ ...PAGE, 'script-src': `'self'${hashes.join('')}` })
}

/** On every answer. @param https whether the application is reached by HTTPS. */
export const everyAnswer = (https: boolean): Record<string, string> => ({
  'content-security-policy': PAGE_POLICY,
  'referrer-policy': 'same-origin',
  'x-content-type-options': 'nosniff',
  'x-frame-options': 'DENY',
  ...(https ? { 'strict-transport-security': 'max-age=31536000' } : {})
})
