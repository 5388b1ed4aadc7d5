import type { ChildProcess } from 'node:child_process'
import { demoSignIns } from '../../demo/people'
import { buildIfChanged } from './build'
import { endChild, portFree, secretsOf, startDatabase, type RunningDatabase } from './database'
import { installMissing, MARIADB } from './packages'
import { prepareDatabase, startServer } from './serve'
import { readSettings } from './settings'
import { main, step, Stop } from './step'

main(async () => {
  const settings = readSettings(process.env)
  const demo = settings.CRITICA_DEMO === '1'
  if (!await portFree(settings.CRITICA_PORT)) throw new Stop(`port ${settings.CRITICA_PORT} is taken; choose another with CRITICA_PORT`)
  let database: RunningDatabase | null = null
  let server: ChildProcess | null = null
  let stopping = false
  const stop = async (): Promise<void> => {
    if (stopping) return
    stopping = true
    step('stopping')
    if (server) await endChild(server)
    await database?.stop()
    process.exit()
  }
  process.on('SIGINT', () => void stop())
  process.on('SIGTERM', () => void stop())
  try {
    if (!settings.CRITICA_DATABASE_URL) installMissing([MARIADB])
    buildIfChanged()
    const secrets = secretsOf(settings.CRITICA_DATA)
    if (settings.CRITICA_DATABASE_URL) step('using the database of CRITICA_DATABASE_URL')
    else {
      step(`starting MariaDB on 127.0.0.1:${settings.CRITICA_DATABASE_PORT}, data in ${settings.CRITICA_DATA}`)
      database = await startDatabase(settings.CRITICA_DATA, settings.CRITICA_DATABASE_PORT)
    }
    const url = settings.CRITICA_DATABASE_URL ?? database!.url
    await prepareDatabase(url, demo)
    server = await startServer(settings.CRITICA_PORT, url, secrets.session, demo)
    step(`Critica serves on http://127.0.0.1:${settings.CRITICA_PORT}  (Ctrl-C stops it)`)
    if (demo) for (const { name, email, password, role } of demoSignIns()) console.log(`    ${email.padEnd(24)} ${password}   ${name}, ${role}`)
    server.once('exit', () => {
      if (!stopping) {
        console.error('the server stopped by itself')
        process.exitCode = 1
        void stop()
      }
    })
  } catch (error) {
    if (server) await endChild(server)
    await database?.stop()
    throw error
  }
})
