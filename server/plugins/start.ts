import { dirname, join } from 'node:path'
import { closePool, openPool } from '../db/pool'
import { resumeMeasuring, stopMeasuring } from '../services/measuring'
import { settings } from '../settings'
import { closeWorkers, openWorkers } from '../work/pool'

/** The worker is bundled beside the built server's entry, the file that node was started with. */
const workerFile = (): string => join(dirname(process.argv[1]), 'work', 'picture.worker.mjs')

/** Opens what the server lives on, and takes up measurements that a stop or a crash interrupted. */
export default defineNitroPlugin((nitro) => {
  try {
    openPool(settings().CRITICA_DATABASE_URL)
  } catch (error) {
    console.error(`Critica cannot start: ${(error as Error).message}`)
    process.exit(1)
  }
  openWorkers(workerFile())
  resumeMeasuring().catch(error => console.error('could not take up interrupted measurements:', error))
  nitro.hooks.hook('close', async () => {
    await stopMeasuring()
    await closeWorkers()
    await closePool()
  })
})
