/**
 * Guessing at passwords is slow, whoever guesses and however much at once. A try is counted before the password is
 * looked at, and given back when it was right: per account and address, per account, and per address. Few are looked
 * at at once, in turn among addresses, since each keeps a core busy for a moment.
 */
import { createHash } from 'node:crypto'
import pRetry from 'p-retry'
import { RateLimiterMySQL, RateLimiterRes } from 'rate-limiter-flexible'
import { AppError } from '../../../shared/errors'
import { databaseName, driverPool } from '../../db/pool'
import { metAnother } from '../../db/outage'
import { FairQueue, QueueFull } from '../../work/fair-queue'

const QUARTER_HOUR_S = 15 * 60
/**
 * Wrong tries in a quarter of an hour. A class behind one address mistypes too; an account is also guessed at from
 * many.
 */
const MOST = { pair: 8, account: 40, address: 60, link: 60, forgotten: 5, entry: 120 } as const
type By = keyof typeof MOST

/** One at a time leaves the other core to everybody else. More than these would wait longer than a browser does. */
const inTurn = new FairQueue(1, 300)

let limiters: Readonly<Record<By, RateLimiterMySQL>> | null = null
function limiterOf(by: By): RateLimiterMySQL {
  const storeClient = driverPool().pool,
    dbName = databaseName()
  const make = (name: By): RateLimiterMySQL =>
    new RateLimiterMySQL({
      storeClient,
      storeType: 'pool',
      dbName,
      tableName: 'sign_in_tries',
      tableCreated: true,
      keyPrefix: name,
      points: MOST[name],
      duration: QUARTER_HOUR_S
    })
  limiters ??= {
    pair: make('pair'),
    account: make('account'),
    address: make('address'),
    link: make('link'),
    forgotten: make('forgotten'),
    entry: make('entry')
  }
  return limiters[by]
}

/** Who and where from are counted under their hashes: the table tells nobody who tried. */
const keyOf = (what: string): string => createHash('sha256').update(what.toLowerCase()).digest('hex').slice(0, 40)

/** Counting the same key at the same time may meet itself. */
const counted = <T>(count: () => Promise<T>): Promise<T> =>
  pRetry(count, { retries: 4, minTimeout: 10, randomize: true, shouldRetry: ({ error }) => metAnother(error) })

/**
 * @param look whose account the password opens, or null when it opens none.
 * @throws AppError too-many-tries, wrong-sign-in; unavailable when too many are waiting.
 */
export async function guess<T>(login: string, address: string, look: () => Promise<T | null>): Promise<T> {
  const keys: readonly (readonly [By, string])[] = [
    ['pair', keyOf(`${login} ${address}`)],
    ['account', keyOf(login)],
    ['address', keyOf(address)]
  ]
  try {
    return await inTurn.run(address, async () => {
      for (const [by, key] of keys) await take(by, key)
      const found = await look()
      if (found === null) throw new AppError('wrong-sign-in', 'This name and password do not open an account.')
      await counted(() => limiterOf('pair').delete(keys[0]![1]))
      for (const [by, key] of keys.slice(1)) await counted(() => limiterOf(by).reward(key))
      return found
    })
  } catch (error) {
    if (error instanceof QueueFull)
      throw new AppError('unavailable', 'Very many are signing in just now. Try again in a minute.')
    throw error
  }
}

/** Links and codes are tried at too: counted by where it comes from. @throws AppError too-many-tries. */
export const countLinkTry = (address: string): Promise<void> => take('link', keyOf(address))
/** Being mailed a new link, of the same account. @throws AppError too-many-tries. */
export const countForgotten = (login: string): Promise<void> => take('forgotten', keyOf(login))
/** Guests of an open call hand in: a class at one address too. @throws AppError too-many-tries. */
export const countEntry = (address: string): Promise<void> => take('entry', keyOf(address))
/** What is counted for a login goes with its account. */
export const keysOf = (login: string): string[] =>
  (['account', 'forgotten'] as const).map(by => `${by}:${keyOf(login)}`)

async function take(by: By, key: string): Promise<void> {
  try {
    await counted(() =>
      limiterOf(by)
        .consume(key)
        .catch((refused: unknown) => {
          throw refused instanceof RateLimiterRes ? new TooMany(refused.msBeforeNext) : refused
        })
    )
  } catch (error) {
    if (!(error instanceof TooMany)) throw error
    throw new AppError('too-many-tries', `Too many tries. Wait ${Math.ceil(error.ms / 60_000)} minutes and try again.`)
  }
}

class TooMany extends Error {
  constructor(readonly ms: number) {
    super()
  }
}
