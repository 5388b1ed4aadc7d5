/**
 * Loads the demo class into a database, through the built server's services. Run by itself (the server runs it when the
 * demo is asked for), or called by the two commands.
 */
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { seedDemo } from '../../demo/seed'
import { closePool, openPool } from '../../server/db/pool'
import { closeScratch, openScratch } from '../../server/scratch'
import { stopMeasuring } from '../../server/services/pieces/measuring'
import { closeWorkers, openWorkers } from '../../server/work/workers'
import { progress, progressDone, ROOT, step } from './step'

/** @param say called with a line as each picture is painted. */
export async function loadDemo(url: string, say: (line: string) => void): Promise<void> {
  openPool(url)
  openScratch()
  openWorkers(join(ROOT, '.output/server/work'))
  try {
    await seedDemo(new Date(), say)
  } finally {
    await stopMeasuring()
    closeWorkers()
    closeScratch()
    await closePool()
  }
}

/** With its progress on the terminal. */
export async function loadDemoAloud(url: string): Promise<void> {
  step("loading the demo: a harbour town's evening class (painting its pictures takes about a minute)")
  await loadDemo(url, progress)
  progressDone()
}

if (import.meta.url === pathToFileURL(process.argv[1] ?? '').href) {
  await loadDemo(process.env.CRITICA_DATABASE_URL!, line => console.log(line))
}
