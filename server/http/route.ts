/**
 * Every API handler is made here: role first, then the contract, then the service; what goes wrong
 * leaves as a code and a sentence, and an unexpected error reveals nothing.
 */
import {
  appendResponseHeader,
  defineEventHandler,
  getRouterParam,
  setResponseHeader,
  setResponseStatus,
  type EventHandler,
  type H3Event
} from 'h3'
import { AppError, ERROR_STATUS, type ErrorBody } from '../../shared/errors'
import type { Account, Role } from '../../shared/account'
import { asKeyed } from '../db/once'
import { databaseAway, PlaceAway } from '../db/outage'
import { within } from '../limit'
import { compressed } from './compress'
import { keyOf } from './key'
import { refuseForeignOrigin } from './sender'
import { accountOf } from './session'
import { asRequest, logError } from '../log'
import { aboutOf, requestOf } from './about'

/**
 * A role that somebody has anywhere, whoever helps to teach, any signed-in account, or anybody. What they are in the
 * class, the service asks.
 */
export type Who = Role | 'staff' | 'account' | 'anybody'

const HAS: Readonly<
  Record<Exclude<Who, 'anybody' | 'account'>, { readonly roles: readonly Role[]; readonly are: string }>
> = {
  owner: { roles: ['owner'], are: 'whoever runs the house' },
  instructor: { roles: ['instructor'], are: 'instructors' },
  assistant: { roles: ['assistant'], are: 'assistants' },
  staff: { roles: ['instructor', 'assistant'], are: 'instructors and their assistants' },
  learner: { roles: ['learner'], are: 'learners' }
}

export interface Context<W extends Who> {
  readonly event: H3Event
  readonly account: W extends 'anybody' ? Account | null : Account
}

export interface RouteOptions {
  /** Milliseconds until the sender is told that it takes too long. */
  readonly limitMs?: number
}

/** Longer than the longest query may take: what the database is waited for is answered for by the database. */
const LIMIT_MS = 12_000

export function route<W extends Who, T>(
  who: W,
  handle: (context: Context<W>) => Promise<T>,
  { limitMs = LIMIT_MS }: RouteOptions = {}
): EventHandler {
  return defineEventHandler((event): Promise<unknown> => asRequest(requestOf(event), () => answer(event)))

  async function answer(event: H3Event): Promise<unknown> {
    setResponseHeader(event, 'cache-control', 'no-store')
    appendResponseHeader(event, 'vary', 'cookie')
    try {
      refuseForeignOrigin(event)
      const said = await within(limitMs, tooLong, async () => {
        const account = await accountOf(event)
        if (who !== 'anybody' && !account) throw new AppError('not-signed-in', 'Sign in first.')
        if (account && who !== 'anybody' && who !== 'account') {
          const { roles, are } = HAS[who as keyof typeof HAS]
          if (!roles.some(role => account.roles.includes(role)))
            throw new AppError('not-allowed', `This is for ${are}.`)
        }
        const work = (): Promise<T> => handle({ event, account } as Context<W>),
          key = account && keyOf(event)
        return key ? asKeyed({ accountId: account.id, key }, work) : work()
      })
      return await compressed(event, said)
    } catch (error) {
      return answerError(event, error)
    }
  }
}

const tooLong = (): AppError => new AppError('unavailable', 'This takes too long just now. Try again in a moment.')

/** What the sender is told of an error. */
function toldOf(event: H3Event, error: unknown): AppError {
  if (error instanceof AppError) return error
  if (error instanceof PlaceAway)
    return new AppError(
      'unavailable',
      'Where the pictures are kept does not answer just now. What you wrote is still here; try again in a moment.'
    )
  if (databaseAway(error)) {
    return new AppError(
      'unavailable',
      'The database does not answer just now. What you wrote is still here; try again in a moment.'
    )
  }
  logError('a request failed', error, { method: event.method, about: aboutOf(event.path) })
  return new AppError(
    'unexpected',
    `Something went wrong here. Nothing was changed; try again. Should you report it: ${requestOf(event)}.`
  )
}

export function errorBody(event: H3Event, error: unknown): ErrorBody {
  const { code, message } = toldOf(event, error)
  return { error: { code, message } }
}

export function answerError(event: H3Event, error: unknown): ErrorBody {
  const body = errorBody(event, error),
    { code } = body.error
  setResponseStatus(event, ERROR_STATUS[code])
  if (code === 'unavailable') setResponseHeader(event, 'retry-after', 2)
  return body
}

/** A numeric id from the path. */
export function idParam(event: H3Event, name = 'id'): number {
  const id = Number(getRouterParam(event, name))
  if (!Number.isSafeInteger(id) || id < 1) throw new AppError('not-found', 'There is no such page.')
  return id
}
