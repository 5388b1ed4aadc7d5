/** The built server as a child process, and what it needs before it can start. */
import { spawn, spawnSync, type ChildProcess } from 'node:child_process'
import { chownSync, existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { setTimeout as wait } from 'node:timers/promises'
import mysql from 'mysql2/promise'
import { alone } from '../../server/db/alone'
import { countAccounts, countOwners } from '../../server/db/people/accounts'
import { migrate, NewerTables } from '../../server/db/migrate'
import { closePool, openPool, transaction } from '../../server/db/pool'
import { pathOfAddress } from '../../shared/address'
import { makeLink, pathOf } from '../../server/services/entering/links'
import { endChild, endProcess, runs } from './processes'
import { ROOT, step, Stop } from './step'

/**
 * Migrates; @returns what is missing to begin with: whether nobody has an account yet, and whether the house has no
 * owner.
 */
export async function prepareDatabase(url: string): Promise<{ readonly empty: boolean; readonly ownerless: boolean }> {
  const pool = openPool(url)
  try {
    await pool.query('SELECT 1').catch((error: Error) => {
      throw new Stop(`the database does not answer: ${error.message}`)
    })
    const applied = await migrate(pool, join(ROOT, 'server/db/migrations')).catch((error: unknown) => {
      throw error instanceof NewerTables ? new Stop(error.message) : error
    })
    if (applied.length > 0) step(`database brought up to date: ${applied.join(', ')}`)
    return { empty: (await countAccounts(pool)) === 0, ownerless: (await countOwners(pool)) === 0 }
  } finally {
    await closePool()
  }
}

/**
 * What an empty house begins with: of several that start on one database, one brings it, the others wait. @param load
 * brings it.
 */
export async function fillEmpty(keeperUrl: string, load: () => Promise<void>): Promise<void> {
  const own = mysql.createPool({ uri: keeperUrl, connectionLimit: 2 })
  try {
    await alone(own, async () => {
      const [[row]] = await own.query<mysql.RowDataPacket[]>('SELECT COUNT(*) AS accounts FROM accounts')
      if (Number(row!.accounts) === 0) await load()
    })
  } finally {
    await own.end()
  }
}

/** The link by which the first to hold it becomes the owner: printed here, and nowhere on a page. @returns its path. */
export async function ownerLink(url: string, secret: string): Promise<string> {
  openPool(url)
  try {
    return pathOf(await transaction(connection => makeLink(connection, { kind: 'owner', accountId: null })), secret)
  } finally {
    await closePool()
  }
}

export interface ServerOptions {
  readonly port: number
  /** The address it listens on: the loopback one, unless whatever stands in front is elsewhere. */
  readonly host?: string
  readonly databaseUrl: string
  readonly secret: string
  readonly demo: boolean
  /** The address people reach it by, where that is not the loopback port. */
  readonly origin?: string | undefined
  /** The folder that mail is delivered into. */
  readonly maildir?: string | undefined
  /** Where its number is noted, so that the next start can tell a leftover; nowhere when it is left out. */
  readonly folder?: string
  /** It measures, and serves nobody. */
  readonly measureOnly?: boolean
  /** An open file that its log goes into; otherwise it is this process's standard error. */
  readonly log?: number
}

const ENTRY = join(ROOT, '.output/server/index.mjs')
const pidFile = (folder: string): string => join(folder, 'server.pid')

/** Ends a server that a killed start left running. */
export async function endLeftoverServer(folder: string): Promise<void> {
  const pid = existsSync(pidFile(folder)) ? Number(readFileSync(pidFile(folder), 'utf8')) : 0
  if (!runs(pid, ENTRY)) return
  step(`a start that was killed left its server running (process ${pid}): it is ended`)
  await endProcess(pid, ENTRY)
}

/**
 * Whom the server, and with it every decoder, runs as when root starts it: nobody, where that one can read what is
 * served.
 * @returns nothing where it runs as whoever starts it.
 */
function stepDown(): { readonly uid?: number; readonly gid?: number } {
  if (process.getuid?.() !== 0) return {}
  const id = (which: string): number =>
    Number(spawnSync('id', [which, 'nobody'], { encoding: 'utf8' }).stdout || Number.NaN)
  const uid = id('-u'),
    gid = id('-g')
  const reads = spawnSync('test', ['-r', ENTRY, '-a', '-x', dirname(ENTRY)], { uid, gid }).status === 0
  if (Number.isInteger(uid) && Number.isInteger(gid) && reads) return { uid, gid }
  step(
    'the server runs as root: no unprivileged user can read this folder.'
      + ' Move it out of /root, or start it as somebody else'
  )
  return {}
}

/** Whoever serves moves what it has read. */
function makeMaildir(folder: string, { uid, gid }: ReturnType<typeof stepDown>): void {
  for (const part of ['', 'tmp', 'new', 'cur']) {
    mkdirSync(join(folder, part), { recursive: true })
    if (uid !== undefined && gid !== undefined) chownSync(join(folder, part), uid, gid)
  }
}

/** @returns the server once it answers. @throws Stop when it does not. */
export async function startServer({
  port,
  host = '127.0.0.1',
  databaseUrl,
  secret,
  demo,
  origin = `http://127.0.0.1:${port}`,
  maildir,
  folder,
  measureOnly = false,
  log
}: ServerOptions): Promise<ChildProcess> {
  const as = stepDown(),
    base = pathOfAddress(origin)
  if (maildir) makeMaildir(maildir, as)
  const server = spawn('node', [ENTRY], {
    stdio: ['ignore', 'ignore', log ?? 'inherit'],
    detached: true,
    ...as,
    env: {
      ...process.env,
      NODE_ENV: 'production',
      HOST: host,
      PORT: String(port),
      CRITICA_DATABASE_URL: databaseUrl,
      CRITICA_SECRET: secret,
      CRITICA_DEMO: demo ? '1' : '0',
      ...(demo ? { CRITICA_DEMO_LOADER: join(ROOT, 'bin/lib/demo.ts') } : {}),
      CRITICA_ORIGIN: origin,
      NUXT_APP_BASE_URL: `${base}/`,
      ...(maildir ? { CRITICA_MAILDIR: maildir } : {}),
      ...(measureOnly ? { CRITICA_MEASURE_ONLY: '1' } : {}),
      NITRO_SHUTDOWN_TIMEOUT: '3000'
    }
  })
  if (folder) writeFileSync(pidFile(folder), String(server.pid))
  for (let i = 0; i < 300; i++) {
    if (server.exitCode !== null) throw new Stop('the server stopped at once')
    // One that only measures has no session to tell of.
    const answer = await fetch(`http://127.0.0.1:${port}${base}/${measureOnly ? 'readyz' : 'api/session'}`).catch(
      () => null
    )
    if (answer?.ok) return server
    await wait(100)
  }
  await endChild(server)
  throw new Stop('the server did not answer within 30 seconds')
}
