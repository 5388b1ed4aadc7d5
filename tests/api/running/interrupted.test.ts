/** A measurement that a killed server left half done is taken up by the next one; migrating twice changes nothing. */
import type { ChildProcess } from 'node:child_process'
import { createHash } from 'node:crypto'
import { readdirSync } from 'node:fs'
import { createPool } from 'mysql2/promise'
import type { RowDataPacket } from 'mysql2/promise'
import sharp from 'sharp'
import { afterEach, expect, it, vi } from 'vitest'
import { endChild } from '../../../bin/lib/processes'
import { REPORT_VERSION } from '../../../core/measure/report'
import type { PieceExtras } from '../../../core/critique/piece/measure'
import type { Report } from '../../../core/measure/report'
import type { Db } from '../../../server/db/pool'
import { storeReport } from '../../../server/db/pieces/measurements'
import { migrate, statementsOf } from '../../../server/db/migrate'
import { NEWEST_MIGRATION } from '../../../server/db/schema'
import { anotherServer, database, keptBytes, Person, picture } from '../client'

let second: ChildProcess | null = null
afterEach(async () => {
  if (second) await endChild(second)
})

it.each([
  // What a SIGKILL in the middle leaves behind, and what an older version of the measures did.
  [
    'interrupted',
    "UPDATE measurements SET state = 'measuring', report = NULL, report_version = NULL WHERE submission_id = ?"
  ],
  ['of an older version', "UPDATE measurements SET report = '{}', report_version = 0 WHERE submission_id = ?"]
])('a measurement %s is measured after the restart', async (_what, damage) => {
  const rosa = await Person.signedIn('rosa')
  const { id } = await (await rosa.handIn(await picture(120, 90), { title: 'Interrupted' })).json()
  await rosa.measured(id)
  const connection = await database()
  await connection.execute(damage, [id])
  second = (await anotherServer()).server
  for (let i = 0; i < 100; i++) {
    const [rows] = await connection.execute<RowDataPacket[]>(
      'SELECT state, report_version FROM measurements WHERE submission_id = ?',
      [id]
    )
    if (rows[0].state === 'done' && rows[0].report_version > 0) {
      expect(rows[0].report_version).toBe(REPORT_VERSION)
      await connection.end()
      return
    }
    await new Promise(resolve => setTimeout(resolve, 100))
  }
  throw new Error('the measurement was not taken up')
})

it('a piece that stopped three workers is begun no more, until somebody asks', async () => {
  const rosa = await Person.signedIn('rosa'),
    connection = await database()
  const { id } = await (await rosa.handIn(await picture(124, 90), { title: 'Poison' })).json()
  await rosa.measured(id)
  // What the third of three killed servers leaves behind.
  await connection.execute(
    `UPDATE measurements SET state = 'measuring', attempts = 3, claimed_by = 'lost', leased_until = UTC_TIMESTAMP(3),
       report = NULL, report_version = NULL WHERE submission_id = ?`,
    [id]
  )
  await vi.waitFor(
    async () =>
      expect(await rosa.measured(id)).toMatchObject({
        state: 'failed',
        reason: expect.stringContaining('three times')
      }),
    { timeout: 15_000, interval: 300 }
  )
  expect((await rosa.json('POST', `/submissions/${id}/measure`)).status).toBe(200)
  await vi.waitFor(async () => expect((await rosa.measured(id)).state).toBe('done'), { timeout: 15_000, interval: 300 })
  await connection.end()
})

it('only whoever holds a measurement writes it, and never over a newer one', async () => {
  const rosa = await Person.signedIn('rosa'),
    connection = await database()
  const { id } = await (await rosa.handIn(await picture(126, 90), { title: 'Held' })).json()
  await rosa.measured(id)
  const hold = (version: number) =>
    connection.execute(
      `UPDATE measurements SET claimed_by = 'mine', leased_until = UTC_TIMESTAMP(3) + INTERVAL 1 MINUTE,
       report_version = ? WHERE submission_id = ?`,
      [version, id]
    )
  const write = (by: string): Promise<boolean> =>
    storeReport(
      connection as unknown as Db,
      { submissionId: id as number, by },
      {
        asked: 0,
        report: { version: REPORT_VERSION } as Report,
        extras: {} as PieceExtras,
        checks: null,
        fingerprint: null
      }
    )
  await hold(REPORT_VERSION + 1)
  expect([await write('mine'), await write('lost')]).toEqual([false, false])
  await hold(REPORT_VERSION)
  expect([await write('lost'), await write('mine')]).toEqual([false, true])
  await connection.execute(
    "UPDATE measurements SET state = 'queued', report = NULL, report_version = NULL WHERE submission_id = ?",
    [id]
  )
  expect((await rosa.measured(id)).state).toBe('done')
  await connection.end()
})

it('an original kept with its place and camera loses them after the start, and the old bytes with them', async () => {
  const rosa = await Person.signedIn('rosa'),
    connection = await database()
  const { id } = await (await rosa.handIn(await picture(130, 90), { title: 'From before' })).json()
  const old = await sharp(await picture(130, 90))
      .withExif({ IFD0: { Model: 'Pocket camera 12' } })
      .jpeg()
      .toBuffer(),
    sha = createHash('sha256').update(old).digest('hex')
  await connection.execute('INSERT INTO blob_parts (stored, part, bytes) VALUES (?, 0, ?)', [sha.slice(0, 32), old])
  await connection.execute("INSERT INTO blobs (sha256, media_type, size, stored) VALUES (?, 'image/jpeg', ?, ?)", [
    sha,
    old.length,
    sha.slice(0, 32)
  ])
  await connection.execute(
    `UPDATE pictures p JOIN submissions s ON s.picture_id = p.id
     SET p.original_sha = ?, p.format = 'jpeg', p.bare = FALSE WHERE s.id = ?`,
    [sha, id]
  )
  second = (await anotherServer()).server
  await vi.waitFor(
    async () => {
      const [rows] = await connection.execute<RowDataPacket[]>(
        'SELECT p.bare, p.original_sha FROM submissions s JOIN pictures p ON p.id = s.picture_id WHERE s.id = ?',
        [id]
      )
      expect(rows[0].bare).toBe(1)
      const bytes = await keptBytes(connection, rows[0].original_sha as string)
      expect([bytes.length > 0, bytes.includes('Pocket camera 12')]).toEqual([true, false])
    },
    { timeout: 15_000, interval: 200 }
  )
  await vi.waitFor(
    async () => {
      const [left] = await connection.execute<RowDataPacket[]>(
        `SELECT (SELECT COUNT(*) FROM blobs WHERE sha256 = ?)
           + (SELECT COUNT(*) FROM blob_parts WHERE stored = ?) AS n`,
        [sha, sha.slice(0, 32)]
      )
      expect(left[0].n).toBe(0)
    },
    { timeout: 15_000, interval: 200 }
  )
  await connection.end()
})

it('migrates again without a change, also when the record of it was lost', async () => {
  const pool = createPool({ uri: process.env.TEST_KEEPER_URL!, connectionLimit: 2 })
  const folder = new URL('../../../server/db/migrations', import.meta.url).pathname
  expect(await migrate(pool, folder)).toEqual([])
  await pool.query("DELETE FROM migrations WHERE name LIKE '0001%' OR name LIKE '0013%'")
  expect(await migrate(pool, folder)).toEqual(['0001_first.sql', '0013_house.sql'])
  // Older code leaves tables alone that a later one has changed.
  await pool.query("INSERT INTO migrations (name) VALUES ('9999_later.sql')")
  await expect(migrate(pool, folder)).rejects.toThrow('a newer version of Critica (9999_later.sql)')
  await pool.query("DELETE FROM migrations WHERE name = '9999_later.sql'")
  expect(readdirSync(folder).sort().at(-1)).toBe(NEWEST_MIGRATION)
  const [rows] = await pool.query<RowDataPacket[]>('SELECT COUNT(*) n FROM submissions')
  expect(rows[0].n).toBeGreaterThan(10)
  await pool.end()
  expect(statementsOf("-- a; b\nSELECT 1;\nSELECT ';';\n")).toEqual(['SELECT 1', "SELECT ';'"])
})
