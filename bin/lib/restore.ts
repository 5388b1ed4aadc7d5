/**
 * `bin/restore FILE`: what `bin/backup` kept, into an empty database and no other. A file that is damaged or none of
 * ours is found out before anything is written; what breaks off half-way is taken out again.
 */
import { spawn } from 'node:child_process'
import { createReadStream, existsSync, readFileSync, writeFileSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { Writable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { parseArgs } from 'node:util'
import { createGunzip } from 'node:zlib'
import mysql from 'mysql2/promise'
import { BACKUP_MARK, DUMP_END, secretsFile, takenIn } from './backup-file'
import { secretsOf } from './database'
import { filesFrom, placeIn, replay } from './binary-log'
import { clientArguments, reachDatabase, type Reached } from './reach'
import { readSettings } from './settings'
import { main, step, Stop } from './step'

const TAIL = 200

/** In so much of its beginning a dump says where the log goes on. */
const HEAD = 8000

/** Read through once. @returns how it begins. @throws Stop where it is no whole backup of ours. */
async function refuseUnlessWhole(file: string): Promise<string> {
  if (!existsSync(file)) throw new Stop(`${file} is not there`)
  let head = '',
    tail = ''
  const look = new Writable({
    write(chunk: Buffer, _, next) {
      if (head.length < HEAD) head += chunk.subarray(0, HEAD).toString('latin1')
      tail = (tail + chunk.subarray(-TAIL).toString('latin1')).slice(-TAIL)
      next()
    }
  })
  await pipeline(createReadStream(file), createGunzip(), look).catch((error: Error) => {
    throw new Stop(`${file} is damaged, or no backup: ${error.message}. Nothing was changed.`)
  })
  if (!head.startsWith(BACKUP_MARK)) throw new Stop(`${file} is no backup of Critica’s. Nothing was changed.`)
  if (!tail.includes(DUMP_END)) throw new Stop(`${file} breaks off before its end. Nothing was changed.`)
  return head
}

const tablesOf = async (connection: mysql.Connection): Promise<string[]> => {
  const [rows] = await connection.query<mysql.RowDataPacket[]>(
    'SELECT table_name AS name FROM information_schema.tables WHERE table_schema = DATABASE()'
  )
  return rows.map(row => String(row.name))
}

async function put(url: string, file: string): Promise<void> {
  const { args, env } = clientArguments(url),
    client = spawn('mariadb', [args[0]!, '--binary-mode', '--max-allowed-packet=64M', ...args.slice(1)], {
      env,
      stdio: ['pipe', 'ignore', 'pipe']
    })
  let said = ''
  client.stderr.on('data', (text: Buffer) => (said += text.toString()))
  const ended = new Promise<number | null>((done, broken) => client.once('error', broken).once('close', done))
  // What the client says of itself is worth more than that nobody read on.
  const sent = pipeline(createReadStream(file), createGunzip(), client.stdin).catch((error: Error) => error)
  const [code, broken] = await Promise.all([ended, sent])
  if (code !== 0 || broken) throw new Stop(`the backup could not be put in: ${said.trim() || broken?.message}`)
}

async function takeOut(connection: mysql.Connection): Promise<void> {
  await connection.query('SET FOREIGN_KEY_CHECKS = 0')
  for (const table of await tablesOf(connection)) await connection.query(`DROP TABLE IF EXISTS \`${table}\``)
}

/** A waiting link, a sign-in and a second step are good only with the secret they were made by. */
function putSecrets(file: string, folder: string): void {
  if (!existsSync(secretsFile(file)))
    return step('without its secrets: everybody signs in again, waiting links are over, second steps are set anew')
  const { session } = JSON.parse(readFileSync(secretsFile(file), 'utf8')) as { session: string },
    own = secretsOf(folder)
  writeFileSync(join(folder, 'secrets.json'), JSON.stringify({ ...own, session }), { mode: 0o600 })
  const set = process.env.CRITICA_SECRET
  if (set && set !== session)
    step(`CRITICA_SECRET is another: start with CRITICA_SECRET_OLD as ${secretsFile(file)} has it`)
}

const USE = 'bin/restore FILE [--log FOLDER [--until 2026-11-30T14:05Z]]: name the backup'

interface Wanted {
  readonly file: string
  /** Of the log's files, where what was written after the backup is wanted too. */
  readonly log: string | null
  readonly until: Date | null
}

/** @throws Stop where it cannot be understood. */
function wanted(): Wanted {
  const parse = () =>
    parseArgs({ allowPositionals: true, options: { log: { type: 'string' }, until: { type: 'string' } } })
  let found: ReturnType<typeof parse>
  try {
    found = parse()
  } catch {
    throw new Stop(USE)
  }
  const { positionals, values } = found,
    at = (path: string): string => resolve(process.env.CALLED_FROM ?? '.', path)
  if (positionals.length !== 1 || (values.until && !values.log)) throw new Stop(USE)
  const until = values.until === undefined ? null : new Date(values.until)
  if (until && Number.isNaN(until.getTime()))
    throw new Stop(`--until ${values.until} is no moment; write it like 2026-11-30T14:05Z`)
  return { file: at(positionals[0]!), log: values.log === undefined ? null : at(values.log), until }
}

/** Where the log goes on from a backup, and its files. @throws Stop where the two do not belong together. */
function logOf(head: string, { log, until }: Wanted): Pick<Parameters<typeof replay>[0], 'files' | 'from'> | null {
  if (log === null) return null
  const from = placeIn(head),
    taken = takenIn(head)
  if (!from)
    throw new Stop('the backup does not say where a log goes on: its database wrote none. Nothing was changed.')
  if (until && taken && until < taken)
    throw new Stop(
      `the backup is of ${taken.toISOString()}, after that moment: take an older one. Nothing was changed.`
    )
  return { from, files: filesFrom(log, from) }
}

/** Who may write by a log. @throws Stop where that is nobody of ours. */
function writer({ url, root }: Reached): Pick<Parameters<typeof replay>[0], 'into' | 'args' | 'env'> {
  if (!root) throw new Stop('a log goes into a database of Critica’s own that does not run: stop it first')
  const into = new URL(url).pathname.slice(1)
  return { into, args: [...root.args, into], env: root.env }
}

main(async () => {
  const asked = wanted(),
    { file, until } = asked,
    since = logOf(await refuseUnlessWhole(file), asked)
  const settings = readSettings(process.env),
    database = await reachDatabase(settings)
  const connection = await mysql.createConnection({ uri: database.url }).catch((error: Error) => {
    throw new Stop(`the database does not answer: ${error.message}`)
  })
  try {
    const by = since && writer(database),
      there = await tablesOf(connection)
    if (there.length)
      throw new Stop(
        `the database holds ${there.length} tables already, and nothing of it was changed: `
          + 'a backup goes into an empty one (another CRITICA_DATA, or CRITICA_DATABASE_URL)'
      )
    try {
      await put(database.url, file)
      if (since && by) await replay({ ...since, until, ...by })
    } catch (error) {
      await takeOut(connection)
      throw error
    }
    putSecrets(file, settings.CRITICA_DATA)
    const more = since ? `, and what was written since${until ? ` until ${until.toISOString()}` : ''}` : ''
    step(`${file} is in the database${more}; bin/start brings it up to date and serves it`)
  } finally {
    await connection.end().catch(() => {})
    await database.leave()
  }
})
