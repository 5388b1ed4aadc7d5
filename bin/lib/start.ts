import type { ChildProcess } from 'node:child_process'
import { demoSignIns } from '../../demo/people'
import { buildIfChanged } from './build'
import { portFree, secretsOf, startDatabase, type RunningDatabase } from './database'
import { installMissing, MARIADB } from './packages'
import { endChild, SERVER_GRACE_MS } from './processes'
import { endLeftoverServer, prepareDatabase, startServer } from './serve'
import { readSettings } from './settings'
import { main, step, Stop } from './step'
import { supervise } from './supervise'

main(async () => {
  const settings = readSettings(process.env),
    folder = settings.CRITICA_DATA
  const demo = settings.CRITICA_DEMO === '1'
  const secrets = secretsOf(folder)
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
    server = await startServer({ port: settings.CRITICA_PORT, databaseUrl: url, secret: secrets.session, demo, folder })
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
    await prepareDatabase(url, demo)
    void supervise({ name: 'the server', start: () => serve(url) }, await serve(url), stopping.signal)
    step(`Critica serves on http://127.0.0.1:${settings.CRITICA_PORT}  (Ctrl-C stops it)`)
    if (demo)
      for (const { name, email, password, role } of demoSignIns())
        console.log(`    ${email.padEnd(24)} ${password}   ${name}, ${role}`)
  } catch (error) {
    stopping.abort()
    await end()
    throw error
  }
})
