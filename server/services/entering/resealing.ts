/**
 * While the house's secret is changed, what the older one sealed is sealed anew, so that the older one can go. Done by
 * every server at its start; a row is only written over as it was read, so that two do no harm.
 */
import pRetry from 'p-retry'
import { listSteps, replaceStep } from '../../db/people/second-step'
import { db } from '../../db/pool'
import { STEP_PURPOSE } from './second-step'
import { resealed } from './sealing'
import { secrets } from './secrets'
import { logError } from '../../log'

/** Tried for an hour, should the database be away just then. */
const RETRIES = { retries: 360, minTimeout: 10_000, factor: 1 }

async function resealSteps(): Promise<void> {
  for (const { accountId, secret, pending } of await listSteps(db())) {
    for (const [which, sealed] of [
      ['secret', secret],
      ['pending', pending]
    ] as const) {
      const anew = sealed && resealed(sealed, STEP_PURPOSE)
      if (anew) await replaceStep(db(), { accountId, which, was: sealed, is: anew })
    }
  }
}

export function startResealing(stopped: AbortSignal): void {
  if (secrets().length < 2) return
  pRetry(resealSteps, { ...RETRIES, signal: stopped, unref: true }).catch((error: unknown) => {
    if (!stopped.aborted) logError('second steps could not be sealed anew', error)
  })
}
