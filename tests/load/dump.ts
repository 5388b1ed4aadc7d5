/**
 * `npm run dump`: a database of 10 GB of pictures (`npm run dump -- 2`: of 2) is backed up by `bin/backup`, and by
 * Debian's own dump piped to the same compressor at the same level; then restored, and compared table by table.
 */
import { spawnSync } from 'node:child_process'
import { createHash, randomFillSync } from 'node:crypto'
import { mkdtempSync, rmSync, statSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import mysql from 'mysql2/promise'
import { freePort, startDatabase, type RunningDatabase } from '../../bin/lib/database'
import { clientArguments } from '../../bin/lib/reach'
import { prepareDatabase } from '../../bin/lib/serve'
import { sumsOf } from '../consistency'
import { conclude, figure } from './figures'

const GB = Number(process.argv[2] ?? 10),
  /** One picture's original, in parts as they are kept. */
  PARTS = 4,
  PART_BYTES = 1_000_000

const folder = mkdtempSync(join(tmpdir(), 'critica-dump-')),
  at = (name: string): string => join(folder, name)

interface Kept {
  readonly database: RunningDatabase
  readonly env: NodeJS.ProcessEnv
}
async function open(name: string): Promise<Kept> {
  const port = await freePort()
  return {
    database: await startDatabase(at(name), port, false),
    env: { ...process.env, CRITICA_DATA: at(name), CRITICA_DATABASE_PORT: String(port), CRITICA_DATABASE_URL: '' }
  }
}

/** Bytes that no compressor makes smaller, as those of pictures. */
async function fill(url: string): Promise<void> {
  const connection = await mysql.createConnection({ uri: url }),
    bytes = Buffer.alloc(PART_BYTES)
  for (let picture = 0; picture < (GB * 1e9) / (PARTS * PART_BYTES); picture++) {
    const stored = createHash('sha256').update(`${picture}`).digest('hex')
    await connection.execute("INSERT INTO blobs (sha256, media_type, size, stored) VALUES (?, 'image/jpeg', ?, ?)", [
      stored,
      PARTS * PART_BYTES,
      stored.slice(0, 32)
    ])
    for (let part = 0; part < PARTS; part++)
      await connection.execute('INSERT INTO blob_parts (stored, part, bytes) VALUES (?, ?, ?)', [
        stored.slice(0, 32),
        part,
        randomFillSync(bytes)
      ])
  }
  await connection.end()
}

/** @returns seconds. @throws Error with what it said when it fails. */
function seconds(command: string, args: readonly string[], env: NodeJS.ProcessEnv): number {
  const from = performance.now(),
    { status, stdout, stderr } = spawnSync(command, args, { encoding: 'utf8', env })
  if (status !== 0) throw new Error(`${command} ${args.join(' ')}: ${stdout}${stderr}`)
  return (performance.now() - from) / 1000
}

const from = await open('from')
await prepareDatabase(from.database.keeperUrl)
await fill(from.database.keeperUrl)
console.log(`${GB} GB of pictures are there`)
const { args, env } = clientArguments(from.database.keeperUrl),
  quoted = args.map(arg => `'${arg}'`),
  options = '--single-transaction --quick --hex-blob --skip-lock-tables --no-tablespaces',
  dump = `mariadb-dump ${quoted[0]} ${options} ${quoted.slice(1).join(' ')}`,
  piped = `set -o pipefail; ${dump} | gzip -1 > ${at('plain.gz')}`
const plain = seconds('bash', ['-c', piped], { ...process.env, ...env })
console.log(`Debian's dump and gzip -1: ${plain.toFixed(0)} s, ${(statSync(at('plain.gz')).size / 1e9).toFixed(2)} GB`)
rmSync(at('plain.gz'))
const ours = seconds('bin/backup', [at('backup.gz')], from.env)
console.log(`bin/backup: ${ours.toFixed(0)} s, ${(statSync(at('backup.gz')).size / 1e9).toFixed(2)} GB`)
const to = await open('to'),
  back = seconds('bin/restore', [at('backup.gz')], to.env)
console.log(`bin/restore: ${back.toFixed(0)} s`)
const [one, other] = [await sumsOf(from.database.keeperUrl), await sumsOf(to.database.keeperUrl)]
figure('bin/backup over the dump and the same compressor', { value: ours / plain, most: 1.3 })
figure('tables that are not the same after it was restored', {
  value: Object.keys({ ...one, ...other }).filter(table => one[table] !== other[table]).length,
  most: 0
})
for (const { database } of [from, to]) await database.stop()
rmSync(folder, { recursive: true, force: true })
conclude()
