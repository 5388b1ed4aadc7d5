/**
 * Every API handler is made here: role first, then the contract, then the service; what goes wrong
 * leaves as a code and a sentence, and an unexpected error reveals nothing.
 */
import { defineEventHandler, getRequestHeader, getRequestHost, getRouterParam, readBody, setResponseHeader, setResponseStatus, type EventHandler, type H3Event } from 'h3'
import type { z } from 'zod'
import { AppError, ERROR_STATUS, type ErrorBody } from '../../shared/errors'
import type { Account, Role } from '../../shared/account'
import { accountOf } from './session'

/** A role, any signed-in account, or anybody. */
export type Who = Role | 'account' | 'anybody'

export interface Context<W extends Who> {
  readonly event: H3Event
  readonly account: W extends 'anybody' ? Account | null : Account
}

export function route<W extends Who, T>(who: W, handle: (context: Context<W>) => Promise<T>): EventHandler {
  return defineEventHandler(async (event): Promise<T | ErrorBody> => {
    try {
      refuseForeignOrigin(event)
      const account = await accountOf(event)
      if (who !== 'anybody') {
        if (!account) throw new AppError('not-signed-in', 'Sign in first.')
        if (who !== 'account' && account.role !== who) throw new AppError('not-allowed', `This is for the ${who}.`)
      }
      setResponseHeader(event, 'cache-control', 'no-store')
      return await handle({ event, account } as Context<W>)
    } catch (error) {
      return answerError(event, error)
    }
  })
}

function answerError(event: H3Event, error: unknown): ErrorBody {
  const known = error instanceof AppError ? error : null
  if (!known) console.error(`${event.method} ${event.path}:`, error)
  const code = known?.code ?? 'unexpected'
  setResponseStatus(event, ERROR_STATUS[code])
  return { error: { code, message: known?.message ?? 'Something went wrong here. Nothing was changed; try again.' } }
}

/** SameSite keeps the cookie from most foreign pages; this closes the rest for anything that changes state. */
function refuseForeignOrigin(event: H3Event): void {
  if (event.method === 'GET' || event.method === 'HEAD') return
  const origin = getRequestHeader(event, 'origin')
  if (origin && new URL(origin).host !== getRequestHost(event)) throw new AppError('not-allowed', 'This request came from another site.')
}

/** @throws AppError invalid with the first thing that is wrong, in the schema's words. */
export function check<S extends z.ZodType>(schema: S, input: unknown): z.infer<S> {
  const result = schema.safeParse(input)
  if (result.success) return result.data
  const issue = result.error.issues[0]
  throw new AppError('invalid', issue.path.length ? `${issue.message} (${issue.path.join('.')})` : issue.message)
}

export const body = async <S extends z.ZodType>(event: H3Event, schema: S): Promise<z.infer<S>> => check(schema, await readBody(event).catch(() => undefined))

/** A numeric id from the path. */
export function idParam(event: H3Event, name = 'id'): number {
  const id = Number(getRouterParam(event, name))
  if (!Number.isSafeInteger(id) || id < 1) throw new AppError('not-found', 'There is no such page.')
  return id
}
