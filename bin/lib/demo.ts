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

/** What the server goes by too. */
export interface DemoHouse {
  readonly url: string
  readonly secret: string
}

/** @param say called with a line as each picture is painted. */
export async function loadDemo({ url, secret }: DemoHouse, say: (line: string) => void): Promise<void> {
  // The services read their settings from there.
  Object.assign(process.env, { CRITICA_DATABASE_URL: url, CRITICA_SECRET: secret })
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
export async function loadDemoAloud(house: DemoHouse): Promise<void> {
  step("loading the demo: a harbour town's evening class (painting its pictures takes about a minute)")
  await loadDemo(house, progress)
  progressDone()
}

if (import.meta.url === pathToFileURL(process.argv[1] ?? '').href) {
  const { CRITICA_DATABASE_URL: url, CRITICA_SECRET: secret } = process.env
  await loadDemo({ url: url!, secret: secret! }, line => console.log(line))
}
