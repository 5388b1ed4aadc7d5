import { defineEventHandler, setResponseHeader } from 'h3'
import { AppError } from '../../shared/errors'
import { answerError } from '../http/route'

/** What no other handler takes: an address that is none, or a known one asked in a way it does not know. */
export default defineEventHandler(event => {
  // The router falls back to this handler and still says which route the address matched.
  const matched = event.context.matchedRoute as { path: string; handlers: Record<string, unknown> } | undefined
  const known = Object.keys(matched?.handlers ?? {})
    .filter(method => method !== 'all')
    .map(method => method.toUpperCase())
  setResponseHeader(event, 'cache-control', 'no-store')
  if (known.length === 0) return answerError(event, new AppError('not-found', 'There is no such address.'))
  setResponseHeader(event, 'allow', known.join(', '))
  return answerError(event, new AppError('wrong-method', `This address knows ${known.join(' and ')} only.`))
})
