/**
 * `bin/backup FILE`: every table as it was at one moment, by Debian's own dump, streamed and compressed; the secrets in
 * a file of their own, since who holds both can sign in as anybody.
 */
import { spawn, type ChildProcessByStdio } from 'node:child_process'
import { existsSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { open, rename } from 'node:fs/promises'
import { resolve } from 'node:path'
import { Transform, type Readable, type Writable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import mysql from 'mysql2/promise'
import { BACKUP_MARK, DUMP_END, secretsFile, takenLine } from './backup-file'
import { secretsOf } from './database'
import { clientArguments, reachDatabase } from './reach'
import { readSettings } from './settings'
import { main, step, Stop } from './step'

/**
 * Compressing is half the time at the usual level, and pictures are compressed already. In a process of its own: Node's
 * own takes 1.4 times as long for such a dump.
 */
const COMPRESS = ['gzip', '-1'] as const
/** Bytes of the dump's end that are looked at. */
const TAIL = 200

const DUMP = ['--single-transaction', '--quick', '--hex-blob', '--skip-lock-tables', '--no-tablespaces']

/**
 * @param logged whether the database writes a log, and the dump says where it goes on. @returns bytes of the dump.
 * @throws Stop where the dump did not come to its end.
 */
async function dumpTo(url: string, part: string, logged: boolean): Promise<number> {
  const { args, env } = clientArguments(url),
    target = await open(part, 'w', 0o600),
    dump = spawn('mariadb-dump', [args[0]!, ...DUMP, ...(logged ? ['--master-data=2'] : []), ...args.slice(1)], {
      env,
      stdio: ['ignore', 'pipe', 'pipe']
    }),
    compress = spawn(COMPRESS[0], COMPRESS.slice(1), {
      stdio: ['pipe', target.fd, 'pipe']
    }) as ChildProcessByStdio<Writable, null, Readable>
  let said = '',
    tail = '',
    bytes = 0
  for (const { stderr } of [dump, compress]) stderr.on('data', (text: Buffer) => (said += text.toString()))
  const ended = [dump, compress].map(
    child => new Promise<number | null>((done, broken) => child.once('error', broken).once('close', done))
  )
  const watched = new Transform({
    transform(chunk: Buffer, _, next) {
      bytes += chunk.length
      tail = (tail + chunk.subarray(-TAIL).toString('latin1')).slice(-TAIL)
      next(null, chunk)
    }
  })
  compress.stdin.write(BACKUP_MARK + takenLine(new Date()))
  const written = await Promise.allSettled([pipeline(dump.stdout, watched, compress.stdin), ...ended])
  await target.close()
  const whole = written.every(end => end.status === 'fulfilled' && !end.value) && tail.includes(DUMP_END)
  if (!whole) throw new Stop(`the backup did not come to its end: ${said.trim() || 'the dump broke off'}`)
  return bytes
}

/** On the disk, and not only on its way there. */
async function settle(part: string, file: string): Promise<void> {
  const handle = await open(part)
  await handle.sync()
  await handle.close()
  await rename(part, file)
}

async function writesLog(url: string): Promise<boolean> {
  const connection = await mysql.createConnection({ uri: url })
  const [[row]] = await connection.query<mysql.RowDataPacket[]>('SELECT @@log_bin AS log')
  await connection.end()
  return row!.log === 1
}

main(async () => {
  const [name, ...more] = process.argv.slice(2)
  if (!name || more.length) throw new Stop('bin/backup FILE: name the file that it goes into')
  const file = resolve(process.env.CALLED_FROM ?? '.', name),
    part = `${file}.part`
  for (const taken of [file, secretsFile(file)])
    if (existsSync(taken)) throw new Stop(`${taken} is there already, and is left alone: name another`)
  const settings = readSettings(process.env),
    database = await reachDatabase(settings)
  try {
    const logged = !settings.CRITICA_DATABASE_URL && (await writesLog(database.url)),
      bytes = await dumpTo(database.url, part, logged)
    await settle(part, file)
    const session = settings.CRITICA_SECRET ?? secretsOf(settings.CRITICA_DATA).session
    writeFileSync(secretsFile(file), JSON.stringify({ session }), { mode: 0o600 })
    const mb = (n: number): string => `${(n / 1024 / 1024).toFixed(1)} MB`
    step(`${file}: ${mb(statSync(file).size)}, of ${mb(bytes)}`)
    step(`${secretsFile(file)}: keep it apart. Without it everybody signs in again, and second steps are set anew.`)
  } catch (error) {
    rmSync(part, { force: true })
    throw error
  } finally {
    await database.leave()
  }
})
