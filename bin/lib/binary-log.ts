/**
 * What was written since a backup, from the database's own log: read from where the backup ended up to a moment, and
 * put into what was restored of it.
 */
import { spawn } from 'node:child_process'
import { existsSync, readdirSync } from 'node:fs'
import { join } from 'node:path'
import { pipeline } from 'node:stream/promises'
import { Stop } from './step'

/** Beside the data: the files that it writes, each change in turn. */
export const logFolder = (folder: string): string => join(folder, 'binlog')
export const LOG_NAME = 'critica'
/** Kept so long, a backup a week misses nothing. */
const KEPT_DAYS = 14

/** How the database is started so that it writes one. A change is answered for when it is in the log too. */
export const loggingArguments = (folder: string): string[] => [
  `--log-bin=${join(logFolder(folder), LOG_NAME)}`,
  '--binlog-format=ROW',
  '--sync-binlog=1',
  `--binlog-expire-logs-seconds=${KEPT_DAYS * 86_400}`,
  '--max-binlog-size=256M'
]

/** Where a dump ends and the log goes on, as the dump says it. */
export interface LogPlace {
  readonly file: string
  readonly position: number
}

/** @param head of a dump. @returns null where none was written then. */
export function placeIn(head: string): LogPlace | null {
  const found = /MASTER_LOG_FILE='([\w.]+)', MASTER_LOG_POS=(\d+)/.exec(head)
  return found && { file: found[1]!, position: Number(found[2]) }
}

/** The log's files from a place on. @throws Stop where the one it begins in is not there. */
export function filesFrom(folder: string, { file }: LogPlace): string[] {
  if (!existsSync(join(folder, file)))
    throw new Stop(`${folder} holds no ${file}, in which the log goes on from this backup. Nothing was changed.`)
  return readdirSync(folder)
    .filter(name => /^critica\.\d+$/.test(name) && name >= file)
    .sort()
    .map(name => join(folder, name))
}

interface Replay {
  readonly files: readonly string[]
  readonly from: LogPlace
  /** Nothing from this moment on; all there is, without. */
  readonly until: Date | null
  /** The database that it goes into. */
  readonly into: string
  /** The client, and as whom: one who may write by the log. */
  readonly args: readonly string[]
  readonly env: NodeJS.ProcessEnv
}

/** @throws Stop with what the tools say. */
export async function replay({ files, from, until, into, args, env }: Replay): Promise<void> {
  const moment = until?.toISOString().replace('T', ' ').slice(0, 19)
  const reader = spawn(
    'mariadb-binlog',
    ['--no-defaults', `--start-position=${from.position}`, ...(moment ? [`--stop-datetime=${moment}`] : [])].concat([
      ...(into === 'critica' ? [] : [`--rewrite-db=critica->${into}`]),
      `--database=${into}`,
      ...files
    ]),
    { env: { ...process.env, TZ: 'UTC' }, stdio: ['ignore', 'pipe', 'pipe'] }
  )
  const client = spawn('mariadb', [...args], { env, stdio: ['pipe', 'ignore', 'pipe'] })
  let said = ''
  for (const tool of [reader, client]) tool.stderr.on('data', (text: Buffer) => (said += text.toString()))
  const ended = [reader, client].map(
    tool => new Promise<number | null>((done, broken) => tool.once('error', broken).once('close', done))
  )
  const sent = pipeline(reader.stdout, client.stdin).catch((error: Error) => error)
  const [[read, put], broken] = await Promise.all([Promise.all(ended), sent])
  if (read !== 0 || put !== 0 || broken)
    throw new Stop(`what was written since could not be put in: ${said.trim() || broken?.message}`)
}
