/**
 * A change that is asked for once more, because its answer never came, is made once: what was answered is kept beside
 * it, in the same transaction, under the key that the request carries (the header `Idempotency-Key` of the IETF's draft
 * of that name).
 */
import { AsyncLocalStorage } from 'node:async_hooks'
import { createHash } from 'node:crypto'
import { cameTwice, MetAnother } from './outage'
import { transaction, type Db, type Row } from './pool'

/** @property key 32 bytes that stand for the request: its method, its path and the sender's own key. */
export interface KeyedRequest {
  readonly accountId: number
  readonly key: Buffer
}

const asked = new AsyncLocalStorage<KeyedRequest>()

/** Runs `work` as what a keyed request asks for. */
export const asKeyed = <T>(request: KeyedRequest, work: () => Promise<T>): Promise<T> => asked.run(request, work)

/** What an answer may be: it comes back as it went. */
// eslint-disable-next-line @typescript-eslint/no-invalid-void-type -- a change that answers nothing
export type Answer = number | boolean | null | void | { readonly [name: string]: number }

/** Of a request that makes several changes, each is one of its own. */
const keyOfPart = (key: Buffer, part: string): Buffer =>
  part ? createHash('sha256').update(key).update(part).digest() : key

/**
 * In the transaction of the change. @param part which of several that the request makes.
 * @returns what it was answered with before, where it was made before.
 */
export async function once<T extends Answer>(db: Db, change: () => Promise<T>, part = ''): Promise<T> {
  const request = asked.getStore()
  if (!request) return change()
  const key = [request.accountId, keyOfPart(request.key, part)],
    [rows] = await db.execute<Row[]>(
      'SELECT answer FROM answered_requests WHERE account_id = ? AND request_key = ?',
      key
    )
  if (rows[0]) return rows[0].answer as T
  const answer = await change()
  try {
    await db.execute('INSERT INTO answered_requests (account_id, request_key, answer) VALUES (?, ?, ?)', [
      ...key,
      JSON.stringify(answer ?? null)
    ])
  } catch (error) {
    // The same request, at the same moment: begun again, this one finds what the other answered.
    throw cameTwice(error) ? new MetAnother('the same request came twice at once') : error
  }
  return answer
}

/** A transaction that is such a change as a whole. */
export const changeOnce = <T extends Answer>(change: (connection: Db) => Promise<T>, part = ''): Promise<T> =>
  transaction(connection => once(connection, () => change(connection), part))

/** Nobody sends a change again after a day. */
export async function deleteAnsweredRequests(db: Db): Promise<void> {
  await db.execute('DELETE FROM answered_requests WHERE made_at < UTC_TIMESTAMP(3) - INTERVAL 1 DAY')
}
