/** Who sent a mail, and whether an answer to it may begin a ring of programs that answer each other. */
import type { LetterRead } from '../../work/letter/letter'

type Head = Pick<LetterRead, 'from' | 'headers'>

/** Local parts that programs send from. */
const PROGRAMS = /^(mailer-daemon|postmaster|no-?reply|do-?not-?reply|bounces?|auto(mat|-?repl).*)([+@-]|$)/i

/**
 * Why a mail is not answered and nothing is taken of it (RFC 3834, "Recommendations for Automatic Responses to
 * Electronic Mail", sections 2 and 5): it is a program's, a list's, or our own come back. Null for a person's.
 * @param own address that answers are sent from, lower case.
 */
export function automatic({ from, headers }: Head, own: string): string | null {
  const first = (name: string): string => (headers[name]?.[0] ?? '').trim().toLowerCase()
  if (from.includes(own)) return 'it is from this house itself'
  const submitted = first('auto-submitted')
  if (submitted && !submitted.startsWith('no')) return 'a program sent it'
  if (first('return-path') === '<>') return 'it says that a mail could not be delivered'
  if (first('content-type').startsWith('multipart/report')) return 'it says that a mail could not be delivered'
  if (headers['list-id'] || /^(bulk|junk|list)\b/.test(first('precedence'))) return 'a mailing list sent it'
  if (from.some(address => PROGRAMS.test(address))) return 'a program sent it'
  return null
}

export type Proof = 'proven' | 'unknown' | 'forged'

/**
 * What the mailbox's own server found (RFC 8601, "Message Header Field for Indicating Message Authentication Status"):
 * its field is the topmost of those that carry its name; anybody may have written the others.
 * @param server its name there; without one nothing is known.
 */
export function proofOf({ from, headers }: Head, server: string | undefined): Proof {
  if (!server) return 'unknown'
  const field = headers['authentication-results']?.find(
    value => value.split(/[;\s]/)[0]!.toLowerCase() === server.toLowerCase()
  )
  if (!field) return 'unknown'
  const domain = from[0]?.split('@')[1] ?? '',
    results = field
      .replace(/\([^()]*\)/g, '')
      .split(';')
      .slice(1)
      .map(text => text.trim().toLowerCase())
  const said = (method: string): string[] => results.filter(text => text.startsWith(`${method}=`))
  const passes = (text: string): boolean => text.split(/[=\s]/)[1] === 'pass'
  const aligned = (text: string): boolean =>
    [...text.matchAll(/(?:header\.(?:d|i|from)|smtp\.mailfrom)=(\S+)/g)].some(([, of]) => {
      const other = of!.split('@').at(-1)!
      return other === domain || other.endsWith(`.${domain}`) || domain.endsWith(`.${other}`)
    })
  const dmarc = said('dmarc')
  if (dmarc.some(passes)) return 'proven'
  if (dmarc.some(text => text.startsWith('dmarc=fail'))) return 'forged'
  return [...said('dkim'), ...said('spf')].some(text => passes(text) && aligned(text)) ? 'proven' : 'unknown'
}
