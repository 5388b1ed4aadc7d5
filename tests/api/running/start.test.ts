/**
 * The two commands' own house: what a start begins it keeps running, ends, and finds again; and a data directory is
 * nobody's but its owner's.
 */
import { spawn, type ChildProcess } from 'node:child_process'
import { once } from 'node:events'
import { existsSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { connect } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { createConnection } from 'mysql2/promise'
import type { RowDataPacket } from 'mysql2/promise'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { freePort, startDatabase } from '../../../bin/lib/database'
import { runs } from '../../../bin/lib/processes'
import { prepareDatabase } from '../../../bin/lib/serve'
import { until } from '../../house'

let folder = ''
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'critica-start-'))
})
afterEach(() => rmSync(folder, { recursive: true, force: true }))

describe('bin/start', () => {
  let started: ChildProcess | null = null,
    said = '',
    port = 0,
    databasePort = 0
  const numberIn = (file: string): number => Number(readFileSync(join(folder, file), 'utf8'))
  const pids = (): [number, number] => [numberIn('server.pid'), numberIn('mariadb/server.pid')]
  /** An ended process that nobody has asked after yet still has a number, and no command line. */
  const both = ([server, data]: [number, number]): [boolean, boolean] => [
    runs(server, 'index.mjs'),
    runs(data, 'mariadbd')
  ]
  const serves = (): Promise<boolean> =>
    fetch(`http://127.0.0.1:${port}/api/session`).then(
      r => r.ok,
      () => false
    )
  async function start(): Promise<void> {
    said = ''
    const { CRITICA_DATABASE_URL, CRITICA_SECRET, CRITICA_TEST_ORIGIN, ...env } = process.env
    const own = {
      CRITICA_PORT: `${port}`,
      CRITICA_DATABASE_PORT: `${databasePort}`,
      CRITICA_DATA: folder,
      CRITICA_DEMO: '0'
    }
    started = spawn('bin/start', [], { env: { ...env, ...own }, stdio: ['ignore', 'pipe', 'pipe'] })
    for (const out of [started.stdout!, started.stderr!])
      out.on('data', (part: Buffer) => {
        said += part.toString()
      })
    await until('Critica serves', () => said.includes('Critica serves on'), 50_000).catch(() => {
      throw new Error(said)
    })
  }
  async function stop(): Promise<void> {
    if (started?.exitCode !== null || started.signalCode !== null) return
    started.kill('SIGTERM')
    await once(started, 'exit')
  }
  beforeEach(async () => {
    port = await freePort()
    databasePort = await freePort()
  })
  afterEach(stop)

  it('says when its server or database dies, starts it again, and ends both in ten seconds, whoever asks', async () => {
    await start()
    // An empty house is begun by a link that is printed here, and told on no page; without a demo nobody can sign in.
    await until('the way to begin', () => /\/begin\/\d+-[\w-]{40,}/.test(said))
    const session = await fetch(`http://127.0.0.1:${port}/api/session`).then(r => r.text())
    expect(JSON.parse(session)).toEqual({ account: null, demo: [], owned: false })
    process.kill(numberIn('server.pid'), 'SIGKILL')
    await until('the server is back', async () => said.includes('the server runs again') && (await serves()))
    expect(said).toContain('the server was ended by SIGKILL; it is started again in 1 s')
    process.kill(numberIn('mariadb/server.pid'), 'SIGKILL')
    await until('the database is back', () => said.includes('MariaDB runs again'))
    await until(
      'served again',
      async () =>
        (
          await fetch(`http://127.0.0.1:${port}/api/session`, {
            method: 'POST',
            headers: { 'content-type': 'application/json' },
            body: '{"login":"a@b.example","password":"x"}'
          })
        ).status === 401
    )
    const mine = pids()
    // Whoever starts it as root does not serve as root, nor decode.
    if (process.getuid?.() === 0) expect(readFileSync(`/proc/${mine[0]}/status`, 'utf8')).not.toMatch(/^Uid:.*\b0\b/m)
    // One that has asked half a question, and one that never listens to the answer.
    const half = connect(port, '127.0.0.1', () =>
      half.write(
        'POST /api/session HTTP/1.1\r\nhost: 127.0.0.1\r\n'
          + 'content-type: application/json\r\ncontent-length: 100\r\n\r\n{'
      )
    )
    half.on('error', () => {})
    await new Promise(resolve => setTimeout(resolve, 300))
    const from = Date.now()
    await stop()
    expect(Date.now() - from).toBeLessThan(10_000)
    expect(both(mine)).toEqual([false, false])
    half.destroy()
  }, 120_000)

  it('killed itself, is followed by one that names what was left running, ends it, and has all the data', async () => {
    await start()
    const left = pids()
    started!.kill('SIGKILL')
    await once(started!, 'exit')
    expect(both(left)).toEqual([true, true])
    await start()
    expect(said).toContain(`left its server running (process ${left[0]}): it is ended`)
    expect(said).toContain(`left its MariaDB running (process ${left[1]}): it is ended`)
    expect(both(left)).toEqual([false, false])
  }, 120_000)
})

describe('a data directory', () => {
  it('without its mark is left as it is, and what can be done about it is said', async () => {
    const data = join(folder, 'mariadb')
    mkdirSync(data)
    writeFileSync(join(data, 'ibdata1'), "somebody's")
    await expect(startDatabase(folder, await freePort())).rejects.toThrow(
      /holds 1 files.*Nothing was touched\.[^]*touch .*critica-ready[^]*CRITICA_DATA/
    )
    expect(readFileSync(join(data, 'ibdata1'), 'utf8')).toBe("somebody's")
  })

  it('whose making was interrupted is made anew', async () => {
    mkdirSync(join(folder, 'mariadb-new-abc'))
    writeFileSync(join(folder, 'mariadb-new-abc/ibdata1'), 'half')
    const database = await startDatabase(folder, await freePort(), false)
    await database.stop()
    expect(readdirSync(folder).filter(name => name.startsWith('mariadb'))).toEqual(['mariadb'])
  })

  it("lets nobody in without a password, from the first start on and after an older version's start too", async () => {
    const port = await freePort(),
      secrets = (): { database: string } =>
        JSON.parse(readFileSync(join(folder, 'secrets.json'), 'utf8')) as { database: string }
    const open = async (): Promise<string[]> => {
      await (await createConnection({ uri: database.url })).end()
      const tried = [
        ['root', '127.0.0.1'],
        ['', '127.0.0.1'],
        ['root', 'localhost'],
        ['critica', '127.0.0.1'],
        ['mysql', '127.0.0.1']
      ] as const
      const found = await Promise.all(
        tried.map(([user, host]) =>
          createConnection({ user, host, port }).then(
            async c => {
              await c.end()
              return `${user}@${host}`
            },
            () => ''
          )
        )
      )
      return found.filter(Boolean)
    }
    let database = await startDatabase(folder, port, false)
    expect(await open()).toEqual([])
    const socket = readdirSync(tmpdir()).find(name => name.endsWith(`-${port}.sock`))!
    const admin = await createConnection({
      socketPath: join(tmpdir(), socket),
      user: 'root',
      password: secrets().database
    })
    await admin.query("CREATE USER root@'127.0.0.1' IDENTIFIED BY ''")
    const [users] = await admin.query<RowDataPacket[]>('SELECT User, Host FROM mysql.user')
    await admin.end()
    expect(users).toContainEqual({ User: 'root', Host: '127.0.0.1' })
    expect(await open()).toContain('root@127.0.0.1')
    await database.stop()
    database = await startDatabase(folder, port, false)
    expect(await open()).toEqual([])
    expect(existsSync(join(folder, 'mariadb/critica-first.sql'))).toBe(false)
    await database.stop()
  })

  it('is worked in by an account that changes rows and no table; another one keeps the tables', async () => {
    const database = await startDatabase(folder, await freePort(), false)
    await prepareDatabase(database.keeperUrl)
    const working = await createConnection({ uri: database.url })
    await working.query('UPDATE house SET retention_months = NULL')
    for (const sql of [
      'DROP TABLE audit',
      'ALTER TABLE audit ADD COLUMN x INT',
      'CREATE TABLE x (y INT)',
      'SELECT 1 FROM mysql.user'
    ])
      await expect(working.query(sql)).rejects.toThrow(/denied/)
    await working.end()
    await database.stop()
  })
})
