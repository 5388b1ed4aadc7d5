/**
 * From the first tables to today's: every row is there afterwards, what was released reads as it was released, and
 * everybody comes in by the password they had.
 */
import type { ChildProcess } from 'node:child_process'
import { createHash } from 'node:crypto'
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import mysql, { type Connection, type RowDataPacket } from 'mysql2/promise'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { freePort, secretsOf, startDatabase, type RunningDatabase } from '../../../bin/lib/database'
import { endChild } from '../../../bin/lib/processes'
import { prepareDatabase, startServer } from '../../../bin/lib/serve'
import { keptBytes, Person } from '../client'

const folder = mkdtempSync(join(tmpdir(), 'critica-oldest-')),
  PASSWORD = 'harbour-before'
let database: RunningDatabase, connection: Connection
let server: ChildProcess | null = null

type Table = Record<string, unknown>[]
async function tables(): Promise<Record<string, Table>> {
  const [names] = await connection.query<RowDataPacket[]>(
    'SELECT table_name AS name FROM information_schema.tables WHERE table_schema = DATABASE()'
  )
  const all: Record<string, Table> = {}
  for (const { name } of names as { name: string }[])
    all[name] = (await connection.query<RowDataPacket[]>(`SELECT * FROM \`${name}\``))[0]
  return all
}

beforeAll(async () => {
  database = await startDatabase(folder, await freePort(), false)
  connection = await mysql.createConnection({ uri: database.keeperUrl, timezone: 'Z', multipleStatements: true })
  await connection.query('SET FOREIGN_KEY_CHECKS = 0')
  await connection.query(readFileSync('tests/fixtures/oldest.sql', 'utf8'))
  await connection.query('SET FOREIGN_KEY_CHECKS = 1')
}, 60_000)
afterAll(async () => {
  if (server) await endChild(server, 5000)
  await connection.end()
  await database.stop()
  rmSync(folder, { recursive: true, force: true })
})

/** What has gone elsewhere since: who is what in a class, the wheel, which is its class's, and bytes into parts. */
const GONE: Readonly<Record<string, readonly string[]>> = {
  accounts: ['role'],
  classes: ['instructor_id'],
  measurements: ['wheel'],
  blobs: ['bytes']
}

it('keeps every row and every picture, and nothing twice', async () => {
  const before = await tables()
  await prepareDatabase(database.keeperUrl)
  const after = await tables()
  for (const [name, rows] of Object.entries(before)) {
    if (name === 'enrolments' || name === 'migrations') continue
    expect([name, after[name]?.length]).toEqual([name, rows.length])
    rows.forEach((row, i) => {
      const kept = Object.entries(row).filter(([column]) => !GONE[name]?.includes(column))
      expect(after[name]![i]).toMatchObject(Object.fromEntries(kept))
    })
  }
  for (const { sha256 } of after.blobs!)
    expect(
      createHash('sha256')
        .update(await keptBytes(connection, sha256 as string))
        .digest('hex')
    ).toBe(sha256)
  expect(after.memberships!.map(({ account_id, role }) => [account_id, role]).sort()).toEqual([
    [1, 'instructor'],
    [2, 'learner'],
    [3, 'learner']
  ])
  await prepareDatabase(database.keeperUrl)
  expect(await tables()).toEqual(after)
}, 60_000)

it('opens to everybody, with what was released as it was', async () => {
  const port = await freePort(),
    origin = `http://127.0.0.1:${port}`
  server = await startServer({ port, databaseUrl: database.url, secret: secretsOf(folder).session, demo: false })
  const enter = (who: string): Promise<Person> => Person.signedIn(`${who}@quay.example`, { password: PASSWORD, origin })
  const [tide, wren, otto] = [await enter('tide'), await enter('wren'), await enter('otto')]
  const critique = await (await wren.fetch('/submissions/1/critique')).json()
  expect(critique).toMatchObject({
    state: 'released',
    works: 'The sail stands clear of the water.',
    verdict: 'Keep the water quieter than the sail.',
    corrections: [
      { station: 'harmony', what: 'The yellow of the sail', todo: 'Mute the second yellow.' },
      { station: 'values', what: 'The dark under the hull', todo: 'One step lighter.' }
    ]
  })
  expect((await wren.fetch('/submissions/1/picture/display')).status).toBe(200)
  // A draft is its instructor's still.
  expect((await otto.fetch('/submissions/2/critique')).status).not.toBe(200)
  expect(await (await tide.fetch('/submissions/2/critique')).json()).toMatchObject({
    verdict: 'Begin with the shadow.'
  })
  // What waited is measured, and what was measured by the first version is measured again, behind.
  expect(await otto.measured(2)).toMatchObject({ state: 'done' })
  expect(await wren.measured(1)).toMatchObject({ state: 'done' })
  const [[assignment]] = await connection.query<RowDataPacket[]>('SELECT confirmed_at FROM assignments WHERE id = 1')
  expect((assignment!.confirmed_at as Date).toISOString()).toBe('2026-01-27T10:00:00.000Z')
}, 60_000)
