/** The built server as a child process, and what it needs before it can start. */
import { spawn, type ChildProcess } from 'node:child_process'
import { join } from 'node:path'
import { setTimeout as wait } from 'node:timers/promises'
import { seedDemo } from '../../demo/seed'
import { countAccounts } from '../../server/db/accounts'
import { migrate } from '../../server/db/migrate'
import { closePool, openPool } from '../../server/db/pool'
import { closeWorkers, openWorkers } from '../../server/work/pool'
import { stopMeasuring } from '../../server/services/measuring'
import { progress, progressDone, ROOT, step, Stop } from './step'

/** Migrates, and loads the demo when nobody has an account yet. */
export async function prepareDatabase(url: string, demo: boolean): Promise<void> {
  const pool = openPool(url)
  try {
    await pool.query('SELECT 1').catch((error: Error) => { throw new Stop(`the database does not answer: ${error.message}`) })
    const applied = await migrate(pool, join(ROOT, 'server/db/migrations'))
    if (applied.length > 0) step(`database brought up to date: ${applied.join(', ')}`)
    if (!demo || await countAccounts(pool) > 0) return
    step('loading the demo: a harbour town\'s evening class (painting its pictures takes about a minute)')
    openWorkers(join(ROOT, '.output/server/work'))
    await seedDemo(new Date(), progress)
    progressDone()
  } finally {
    await stopMeasuring()
    await closeWorkers()
    await closePool()
  }
}

/** @returns the server once it answers. @throws Stop when it does not. */
export async function startServer(port: number, databaseUrl: string, secret: string, demo: boolean): Promise<ChildProcess> {
  const server = spawn('node', [join(ROOT, '.output/server/index.mjs')], {
    stdio: ['ignore', 'ignore', 'inherit'],
    detached: true,
    env: { ...process.env, NODE_ENV: 'production', HOST: '127.0.0.1', PORT: String(port), CRITICA_DATABASE_URL: databaseUrl, CRITICA_SECRET: secret, CRITICA_DEMO: demo ? '1' : '0' }
  })
  for (let i = 0; i < 300; i++) {
    if (server.exitCode !== null) throw new Stop('the server stopped at once')
    const answer = await fetch(`http://127.0.0.1:${port}/api/session`).catch(() => null)
    if (answer?.ok) return server
    await wait(100)
  }
  throw new Stop('the server did not answer within 30 seconds')
}
