import type { ChildProcess } from 'node:child_process'
import { join } from 'node:path'
import { DEMO_PASSWORD, INSTRUCTOR, LEARNERS } from '../../demo/people'
import { buildIfChanged } from './build'
import { portFree, secretsOf, startDatabase, type RunningDatabase } from './database'
import { installMissing, MARIADB } from './packages'
import { endChild, SERVER_GRACE_MS } from './processes'
import { loadDemoAloud } from './demo'
import { endLeftoverServer, fillEmpty, ownerLink, prepareDatabase, startServer } from './serve'
import { readSettings, type Settings } from './settings'
import { main, step, Stop } from './step'
import { supervise } from './supervise'

/** Whether this start only measures. @throws Stop for any other word, and without a database that is there. */
function onlyMeasures(words: readonly string[], { CRITICA_DATABASE_URL }: Settings): boolean {
  const [word, ...more] = words
  if (word === undefined) return false
  if (word !== MEASURE_ONLY || more.length > 0)
    throw new Stop(`bin/start knows one word, ${MEASURE_ONLY}, and was given: ${words.join(' ')}`)
  if (CRITICA_DATABASE_URL) return true
  throw new Stop(
    `${MEASURE_ONLY} measures for servers that are there: say in CRITICA_DATABASE_URL where their database is`
  )
}
const MEASURE_ONLY = '--measure-only'

main(async () => {
  const settings = readSettings(process.env),
    measureOnly = onlyMeasures(process.argv.slice(2), settings),
    folder = settings.CRITICA_DATA
  const demo = settings.CRITICA_DEMO === '1' && !measureOnly
  const secret = settings.CRITICA_SECRET ?? secretsOf(folder).session
  await endLeftoverServer(folder)
  if (!(await portFree(settings.CRITICA_PORT)))
    throw new Stop(`port ${settings.CRITICA_PORT} is taken; choose another with CRITICA_PORT`)
  let database: RunningDatabase | null = null
  let server: ChildProcess | null = null
  const stopping = new AbortController()
  const end = async (): Promise<void> => {
    if (server) await endChild(server, SERVER_GRACE_MS)
    await database?.stop()
  }
  const stop = async (): Promise<void> => {
    if (stopping.signal.aborted) return
    stopping.abort()
    step('stopping')
    await end()
    process.exit()
  }
  process.on('SIGINT', () => void stop())
  process.on('SIGTERM', () => void stop())
  const serve = async (url: string): Promise<ChildProcess> => {
    server = await startServer({
      port: settings.CRITICA_PORT,
      host: settings.CRITICA_HOST,
      databaseUrl: url,
      secret,
      demo,
      origin: settings.CRITICA_ORIGIN,
      maildir: measureOnly ? undefined : (settings.CRITICA_MAILDIR ?? join(folder, 'mail')),
      folder,
      measureOnly
    })
    return server
  }
  const openDatabase = async (): Promise<ChildProcess> => {
    database = await startDatabase(folder, settings.CRITICA_DATABASE_PORT)
    return database.process
  }
  try {
    if (!settings.CRITICA_DATABASE_URL) installMissing([MARIADB])
    buildIfChanged()
    if (settings.CRITICA_DATABASE_URL) step('using the database of CRITICA_DATABASE_URL')
    else {
      step(`starting MariaDB on 127.0.0.1:${settings.CRITICA_DATABASE_PORT}, data in ${folder}`)
      const running = await openDatabase()
      void supervise({ name: 'MariaDB', start: openDatabase }, running, stopping.signal)
    }
    const url = settings.CRITICA_DATABASE_URL ?? database!.url
    // The tables are brought up to date by those who serve; until they are, this one says that it is not ready.
    const keeperUrl = settings.CRITICA_DATABASE_URL ?? database!.keeperUrl,
      { empty, ownerless } = measureOnly ? { empty: false, ownerless: false } : await prepareDatabase(keeperUrl)
    if (demo && empty) await fillEmpty(keeperUrl, () => loadDemoAloud({ url, secret }))
    void supervise({ name: 'the server', start: () => serve(url) }, await serve(url), stopping.signal)
    const here = settings.CRITICA_ORIGIN ?? `http://127.0.0.1:${settings.CRITICA_PORT}`
    step(`Critica ${measureOnly ? 'measures, and answers /readyz' : 'serves'} on ${here}  (Ctrl-C stops it)`)
    if (ownerless) {
      if (demo)
        for (const { name, email, role } of [INSTRUCTOR, ...LEARNERS])
          console.log(`    ${email.padEnd(24)} ${DEMO_PASSWORD}   ${name}, ${role} of the demo class`)
      console.log(`    To begin with your own class, open this once; whoever opens it owns the house:
    ${here}${await ownerLink(url, secret)}`)
    }
  } catch (error) {
    stopping.abort()
    await end()
    throw error
  }
})
