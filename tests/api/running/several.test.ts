/**
 * Several servers on one database: one that only measures, one that has the next secret while the others still have the
 * last, and what each tells its keeper.
 */
import { spawn, spawnSync, type ChildProcess } from 'node:child_process'
import { closeSync, openSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { unzipSync } from 'fflate'
import mysql from 'mysql2/promise'
import { Secret, TOTP } from 'otpauth'
import { afterAll, afterEach, beforeAll, expect, it, vi } from 'vitest'
import { freePort, secretsOf } from '../../../bin/lib/database'
import { endChild } from '../../../bin/lib/processes'
import { ownerLink, startServer, type ServerOptions } from '../../../bin/lib/serve'
import { House, PASSWORD, until } from '../../house'
import { Person, picture } from '../client'

let house: House, first: string
const servers: ChildProcess[] = []

beforeAll(async () => {
  house = await House.open()
  first = secretsOf(house.folder).session
}, 60_000)
afterEach(async () => {
  vi.unstubAllEnvs()
  await Promise.all(servers.splice(0).map(server => endChild(server, 5000)))
})
afterAll(() => house.close())

/** Another server on the house's database. @returns where it answers. */
async function another(options: Partial<ServerOptions> = {}): Promise<string> {
  const port = await freePort()
  servers.push(await startServer({ port, databaseUrl: house.database.url, secret: first, demo: false, ...options }))
  return `http://127.0.0.1:${port}`
}

it('one that only measures does what waits, says that it is ready, and serves nobody', async () => {
  const learner = await house.signedIn('learner-0'),
    { id } = await (await learner.handIn(await picture(130, 90))).json()
  await learner.measured(id)
  await endChild(house.server, 5000)
  try {
    const connection = await house.connect()
    await connection.execute(
      "UPDATE measurements SET state = 'queued', report = NULL, report_version = NULL WHERE submission_id = ?",
      [id]
    )
    await connection.end()
    const node = await another({ measureOnly: true })
    await house.allMeasured()
    expect(await (await fetch(`${node}/readyz`)).json()).toMatchObject({ tables: 'right', workers: 'open' })
    for (const path of ['/api/session', '/', '/session']) {
      const answer = await fetch(node + path)
      expect([path, answer.status, await answer.text()]).toEqual([path, 404, expect.stringContaining('only measures')])
    }
  } finally {
    await house.startServer()
  }
  expect(await (await house.signedIn('learner-0')).measured(id)).toMatchObject({ state: 'done' })
}, 60_000)

it('a server leaves pieces to one that only measures, and helps when they wait long', async () => {
  await another({ measureOnly: true })
  const node = servers[0]!,
    learner = await house.signedIn('learner-0'),
    connection = await house.connect(),
    one = async (statement: string): Promise<string | null> => {
      const [[row]] = await connection.query<mysql.RowDataPacket[]>(statement)
      return row ? (Object.values(row)[0] as string) : null
    },
    hand = async (): Promise<number> => (await (await learner.handIn(await picture(1600, 1200))).json()).id
  const there = await one('SELECT holder FROM measuring_nodes'),
    id = await hand()
  let holder: string | null = null
  await until('held', async () => !!(holder = await one('SELECT MAX(claimed_by) FROM measurements')))
  expect(holder).toBe(there)
  await learner.measured(id)
  // It hangs: the server waits for it a while, and then does it itself.
  node.kill('SIGSTOP')
  try {
    const from = Date.now(),
      left = await hand()
    expect(await learner.measured(left)).toMatchObject({ state: 'done' })
    expect(Date.now() - from).toBeGreaterThan(7000)
  } finally {
    node.kill('SIGCONT')
  }
  await endChild(servers.shift()!, 5000)
  expect(await one('SELECT holder FROM measuring_nodes')).toBeNull()
  await connection.end()
}, 60_000)

it('a piece whose measuring takes too long is begun again', async () => {
  const learner = await house.signedIn('learner-0'),
    connection = await house.connect(),
    { id } = await (await learner.handIn(await picture(1601, 1200))).json()
  const under = async (): Promise<boolean> => {
    const [rows] = await connection.query<mysql.RowDataPacket[]>('SELECT 1 FROM measurements WHERE claimed_by <> ""')
    return rows.length > 0
  }
  await until('under way', under)
  const { stdout } = spawnSync('pgrep', ['-P', `${house.server.pid}`, '-f', 'picture.worker'], { encoding: 'utf8' }),
    workers = stdout.trim().split('\n').map(Number)
  for (const pid of workers) process.kill(pid, 'SIGSTOP')
  expect([workers.length, await under()]).toEqual([1, true])
  await house.allMeasured()
  expect(await learner.measured(id)).toMatchObject({ state: 'done' })
  await connection.end()
}, 60_000)

it('an export asked of one is made by another when the first is lost, and given by any', async () => {
  const learner = await house.signedIn('learner-0'),
    { id } = await (await learner.handIn(await picture(1600, 1200))).json()
  await learner.measured(id)
  const other = await another(),
    instructor = await house.signedIn('instructor-0'),
    there = Object.assign(new Person(other), { cookie: instructor.cookie })
  const begun = await (await instructor.json('POST', `/submissions/${id}/exports`, { name: 'layers.ora' })).json(),
    at = `/submissions/${id}/exports/${begun.id}`
  house.server.kill('SIGKILL')
  try {
    await until('made', async () => (await (await there.fetch(at)).json()).state === 'done', 40_000)
    const file = await there.fetch(`${at}/file`),
      bytes = new Uint8Array(await file.arrayBuffer())
    expect([file.headers.get('content-length'), Object.keys(unzipSync(bytes))[0]]).toEqual([
      `${bytes.length}`,
      'mimetype'
    ])
  } finally {
    await house.startServer()
  }
  // Thrown away by one, it is nowhere, and its bytes are gone.
  expect((await instructor.json('DELETE', at)).status).toBe(200)
  expect((await there.fetch(`${at}/file`)).status).toBe(404)
  const connection = await house.connect()
  await until('its bytes are gone', async () => {
    const [rows] = await connection.query<mysql.RowDataPacket[]>(
      'SELECT 1 FROM blob_parts WHERE stored NOT IN (SELECT stored FROM blobs)'
    )
    return rows.length === 0
  })
  await connection.end()
}, 90_000)

it('is not started without a database to measure for, nor by a word that nobody knows', async () => {
  const { CRITICA_DATABASE_URL, CRITICA_SECRET, CRITICA_TEST_ORIGIN, CRITICA_MAIL_AUTHSERV, ...env } = process.env
  // Not waited for in one piece: connections that stay open meanwhile must be heard closing.
  const said = (...words: string[]): Promise<[number | null, string]> =>
    new Promise(resolve => {
      let told = ''
      const started = spawn('bin/start', words, { env, stdio: ['ignore', 'pipe', 'pipe'] })
      for (const out of [started.stdout, started.stderr]) out.on('data', (part: Buffer) => (told += part.toString()))
      started.once('close', code => resolve([code, told]))
    })
  expect(await said('--measure-only')).toEqual([1, expect.stringContaining('CRITICA_DATABASE_URL')])
  expect(await said('--measure')).toEqual([1, expect.stringContaining('--measure-only')])
}, 30_000)

it('a secret is changed without anybody signing in anew; the one before it opens nothing once it is gone', async () => {
  const next = 'n'.repeat(48),
    instructor = await house.signedIn('instructor-0'),
    learner = await house.signedIn('learner-0'),
    link = `/links/${(await ownerLink(house.database.url, first)).split('/')[2]}`
  const { secret } = await (
    await instructor.json('POST', '/account/second-step', { code: '', password: PASSWORD })
  ).json()
  const code = (later = 0): string =>
    new TOTP({ secret: Secret.fromBase32(secret) }).generate({ timestamp: Date.now() + later })
  expect((await instructor.json('PUT', '/account/second-step', { code: code(), password: PASSWORD })).status).toBe(200)

  const inUse = await another({ secret: next }) // as it will be once the older one is gone
  vi.stubEnv('CRITICA_SECRET_OLD', first)
  const between = await another({ secret: next })
  const at = (origin: string, cookie: string): Person => Object.assign(new Person(origin), { cookie })
  const isIn = async (person: Person): Promise<boolean> =>
    (await (await person.fetch('/session')).json()).account !== null
  const moving = at(between, learner.cookie)
  expect([await isIn(at(inUse, learner.cookie)), await isIn(moving)]).toEqual([false, true])
  // Its cookie was sealed anew on the way.
  expect(moving.cookie).not.toBe(learner.cookie)
  expect(await isIn(at(inUse, moving.cookie))).toBe(true)

  expect((await fetch(`${between}/api${link}`)).status).toBe(200)
  expect((await fetch(`${inUse}/api${link}`)).status).toBe(404)

  // The second step was sealed anew when the one between started.
  const entering = await new Person(inUse).json('POST', '/session', {
    login: 'instructor-0@house.example',
    password: PASSWORD,
    code: code(30_000)
  })
  expect(entering.status).toBe(200)
}, 60_000)

it('tells its keeper of a fault in JSON, with the id that the person was given, and in no word of theirs', async () => {
  vi.stubEnv('CRITICA_LOG', 'info')
  const file = join(house.folder, 'server.log'),
    log = openSync(file, 'w')
  const origin = await another({ log }),
    keeper = await mysql.createConnection({ uri: house.database.keeperUrl }),
    person = await Person.signedIn('learner-0@house.example', { password: PASSWORD, origin })
  await keeper.query('RENAME TABLE paints TO paints_away')
  const answer = await person.fetch('/workshop?private=word')
  await keeper.query('RENAME TABLE paints_away TO paints')
  await keeper.end()
  closeSync(log)
  const id = answer.headers.get('x-request-id')!
  expect([answer.status, await answer.text()]).toEqual([500, expect.stringContaining(id)])
  const lines = readFileSync(file, 'utf8').trim().split('\n')
  const told = lines.map(line => JSON.parse(line) as Record<string, unknown>)
  expect(told.find(line => line.level === 'error')).toMatchObject({
    request: id,
    about: 'api/workshop',
    msg: 'a request failed',
    error: { code: 'ER_NO_SUCH_TABLE', at: expect.any(Array) }
  })
  expect(told).toContainEqual(expect.objectContaining({ level: 'info', request: id, status: '500', msg: 'answered' }))
  for (const word of ['learner-0', 'private', 'house.example', person.cookie.slice(0, 30)])
    expect(lines.join('\n')).not.toContain(word)
}, 60_000)
