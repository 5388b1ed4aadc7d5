/**
 * A backup taken while the house is served goes into an empty database row by row and blob by blob, and into no other;
 * a damaged one changes nothing.
 */
import { spawnSync } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { gunzipSync, gzipSync } from 'node:zlib'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { freePort, startDatabase, type RunningDatabase } from '../../../bin/lib/database'
import { endChild } from '../../../bin/lib/processes'
import { startServer } from '../../../bin/lib/serve'
import { sumsOf } from '../../consistency'
import { House } from '../../house'
import { Person, picture } from '../client'

const folder = mkdtempSync(join(tmpdir(), 'critica-backup-'))
const at = (name: string): string => join(folder, name)
const databases: RunningDatabase[] = []

/** A house of its own, whose database runs. */
async function house(name: string): Promise<{ url: string; keeperUrl: string; env: Record<string, string> }> {
  const port = await freePort(),
    database = await startDatabase(at(name), port, false)
  databases.push(database)
  return { ...database, env: { CRITICA_DATA: at(name), CRITICA_DATABASE_PORT: String(port), CRITICA_DATABASE_URL: '' } }
}
/** A person's environment, without what these tests go by. */
const plain = Object.fromEntries(Object.entries(process.env).filter(([name]) => !name.startsWith('CRITICA_')))
function run(command: 'backup' | 'restore', file: string, env: Record<string, string>, ...words: string[]) {
  const { status, stdout, stderr } = spawnSync(`bin/${command}`, [file, ...words], {
    encoding: 'utf8',
    env: { ...plain, ...env }
  })
  return { status, said: stdout + stderr }
}
let first: Awaited<ReturnType<typeof house>>, second: Awaited<ReturnType<typeof house>>
beforeAll(async () => {
  ;[first, second] = [await house('first'), await house('second')]
}, 60_000)
afterAll(async () => {
  for (const database of databases) await database.stop()
  rmSync(folder, { recursive: true, force: true })
}, 30_000)

it('holds every row and blob, and people sign in to what was restored', async () => {
  // Taken of the house that these tests run against, while it serves.
  const taken = run('backup', at('served.gz'), {
    CRITICA_DATABASE_URL: process.env.TEST_KEEPER_URL!,
    CRITICA_DATA: at('first')
  })
  expect(taken.status, taken.said).toBe(0)
  expect(statSync(at('served.gz')).mode & 0o077).toBe(0)
  expect(run('restore', at('served.gz'), first.env)).toMatchObject({ status: 0 })
  // What was restored rests, so that both sides of this one are the same moment.
  expect(run('backup', at('again.gz'), first.env)).toMatchObject({ status: 0 })
  expect(run('restore', at('again.gz'), second.env)).toMatchObject({ status: 0 })
  const [one, other] = [await sumsOf(first.keeperUrl), await sumsOf(second.keeperUrl)]
  expect(other).toEqual(one)
  expect(Number.parseInt(one.submissions!)).toBeGreaterThan(10)
  expect(Number.parseInt(one.blobs!)).toBeGreaterThan(10)
  const secret = (name: string): string =>
    (JSON.parse(readFileSync(at(`${name}/secrets.json`), 'utf8')) as { session: string }).session
  expect(secret('second')).toBe(secret('first'))
  const port = await freePort(),
    server = await startServer({ port, databaseUrl: second.url, secret: secret('second'), demo: true })
  try {
    const ada = await Person.signedIn('ada', { origin: `http://127.0.0.1:${port}` })
    expect((await ada.fetch('/submissions/1/picture/display')).status).toBe(200)
  } finally {
    await endChild(server)
  }
}, 120_000)

it('is refused into a database that holds something, and over a file that is there', async () => {
  const before = await sumsOf(second.keeperUrl)
  const into = run('restore', at('again.gz'), second.env)
  expect(into).toMatchObject({ status: 1, said: expect.stringContaining('tables already') })
  expect(await sumsOf(second.keeperUrl)).toEqual(before)
  expect(run('backup', at('again.gz'), first.env)).toMatchObject({
    status: 1,
    said: expect.stringContaining('there already')
  })
}, 60_000)

it.each([
  ['cut', (file: Buffer) => file.subarray(0, file.length - 900), 'damaged'],
  ['ended', (file: Buffer) => gzipSync(gunzipSync(file).subarray(0, -400)), 'breaks off'],
  ['foreign', () => gzipSync(Buffer.from('DROP DATABASE critica;\n')), 'no backup of Critica’s'],
  ['plain', () => Buffer.from('-- Critica backup 1\n'), 'damaged']
] as const)(
  'a %s file is refused before anything is written',
  async (name, spoil, why) => {
    writeFileSync(at(`${name}.gz`), spoil(readFileSync(at('again.gz'))))
    const empty = await house(name)
    expect(run('restore', at(`${name}.gz`), empty.env)).toMatchObject({ status: 1, said: expect.stringContaining(why) })
    expect(await sumsOf(empty.keeperUrl)).toEqual({})
  },
  60_000
)

it('goes on to the moment before a mistake by the log of its database, and not past it', async () => {
  const served = await House.open(),
    learner = await served.signedIn('learner-0'),
    own = { CRITICA_DATA: served.folder, CRITICA_DATABASE_PORT: new URL(served.database.url).port }
  try {
    await learner.handIn(await picture(300, 200), { title: 'Before' })
    await served.allMeasured()
    expect(run('backup', at('moment.gz'), own)).toMatchObject({ status: 0 })
    await learner.handIn(await picture(310, 200), { title: 'After' })
    await served.allMeasured()
    // What is done to it is done: nothing else writes from here on.
    await endChild(served.server, 5000)
    const before = await sumsOf(served.database.keeperUrl),
      until = new Date(Math.ceil(Date.now() / 1000) * 1000)
    await new Promise(resolve => setTimeout(resolve, until.getTime() - Date.now() + 1100))
    const connection = await served.connect()
    await connection.query('DELETE FROM measurements')
    await connection.query("UPDATE submissions SET title = 'Spoilt'")
    await connection.end()
    await served.database.stop()

    const log = join(served.folder, 'binlog'),
      into = async (name: string) => ({ CRITICA_DATA: at(name), CRITICA_DATABASE_PORT: String(await freePort()) }),
      restored = await into('moment')
    const refused = run('restore', at('moment.gz'), restored, '--log', log, '--until', '2001-01-01')
    expect(refused).toMatchObject({ status: 1, said: expect.stringContaining('take an older one') })
    expect(run('restore', at('moment.gz'), restored, '--log', folder)).toMatchObject({
      status: 1,
      said: expect.stringContaining('in which the log goes on')
    })
    const put = run('restore', at('moment.gz'), restored, '--log', log, '--until', until.toISOString())
    expect(put.status, put.said).toBe(0)
    const database = await startDatabase(at('moment'), Number(restored.CRITICA_DATABASE_PORT))
    databases.push(database)
    expect(await sumsOf(database.keeperUrl)).toEqual(before)
  } finally {
    await served.close()
  }
}, 120_000)
