import { dirname, join } from 'node:path'
import { closePool, openPool } from '../db/pool'
import { dropExports } from '../services/making'
import { resumeMeasuring, stopMeasuring } from '../services/measuring'
import { startPosting, stopPosting } from '../services/posting'
import { settings } from '../settings'
import { closeWorkers, openWorkers } from '../work/pool'

/** The workers are bundled beside the built server's entry, the file that node was started with. */
const workerFolder = (): string => join(dirname(process.argv[1]), 'work')

/** Opens what the server lives on, and takes up measurements that a stop or a crash interrupted. */
export default defineNitroPlugin((nitro) => {
  try {
    openPool(settings().CRITICA_DATABASE_URL)
  } catch (error) {
    console.error(`Critica cannot start: ${(error as Error).message}`)
    process.exit(1)
  }
  openWorkers(workerFolder())
  startPosting(settings().CRITICA_SMTP_URL, settings().CRITICA_MAIL_FROM)
  resumeMeasuring().catch(error => console.error('could not take up interrupted measurements:', error))
  nitro.hooks.hook('close', async () => {
    await stopMeasuring()
    await stopPosting()
    await dropExports()
    await closeWorkers()
    await closePool()
  })
})
