import { dirname, join } from 'node:path'
import { setTimeout as wait } from 'node:timers/promises'
import { startSweeping, stopSweeping } from '../services/entering/accounts'
import { sweepLoose } from '../blobs/loose'
import { closePool, openPool } from '../db/pool'
import { startErasing, stopErasing } from '../services/house/erasing'
import { startReminding, stopReminding } from '../services/exercises/reminding'
import { resumeMaking, stopMaking } from '../services/exports/making'
import { resumeMeasuring, stopMeasuring } from '../services/pieces/measuring'
import { startStripping, stopStripping } from '../services/pieces/stripping'
import { startResealing } from '../services/entering/resealing'
import { startFetching, stopFetching } from '../services/inbox/fetching'
import { startPosting, stopPosting } from '../services/mail/posting'
import { settings } from '../settings'
import { closeScratch, openScratch } from '../scratch'
import { closeWorkers, openWorkers } from '../work/workers'

/** What is under way is waited for so long when the server stops, and taken up again at its next start. */
const STOP_MS = 2000

/** The workers are bundled beside the built server's entry, the file that node was started with. */
const workerFolder = (): string => join(dirname(process.argv[1]), 'work')

/** What a server does beside measuring: mail, erasing, reminding. One that only measures leaves it to the others. */
function startServing(stopped: AbortSignal): void {
  startPosting(settings().CRITICA_SMTP_URL, settings().CRITICA_MAIL_FROM)
  startFetching()
  startSweeping()
  startStripping()
  startErasing()
  startReminding()
  startResealing(stopped)
  sweepLoose(stopped)
}

/** Opens what the server lives on, and takes up measurements that a stop or a crash interrupted. */
export default defineNitroPlugin(nitro => {
  try {
    openPool(settings().CRITICA_DATABASE_URL)
  } catch (error) {
    console.error(`Critica cannot start: ${(error as Error).message}`)
    process.exit(1)
  }
  openScratch()
  openWorkers(workerFolder())
  resumeMeasuring()
  resumeMaking()
  const stopped = new AbortController()
  if (!settings().CRITICA_MEASURE_ONLY) startServing(stopped.signal)
  nitro.hooks.hook('close', async () => {
    stopped.abort()
    stopSweeping()
    stopErasing()
    stopReminding()
    await Promise.race([stopFetching(), wait(STOP_MS, undefined, { ref: false })])
    await stopMeasuring(STOP_MS)
    await Promise.race([stopStripping(), wait(STOP_MS, undefined, { ref: false })])
    await stopMaking()
    closeWorkers()
    closeScratch()
    await Promise.race([stopPosting().then(closePool), wait(STOP_MS, undefined, { ref: false })])
  })
})
