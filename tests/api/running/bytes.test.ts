/** Where pictures' bytes lie: in parts of the database or in a bucket, whole or not at all, and gone when they are. */
import type { RowDataPacket } from 'mysql2/promise'
import sharp from 'sharp'
import { afterAll, afterEach, describe, expect, it, vi } from 'vitest'
import { Bucket } from '../../bucket'
import { House, until } from '../../house'
import type { Person } from '../client'

/** Nothing in it repeats: as large in a file as in memory. */
async function noise(width: number, height: number): Promise<Buffer> {
  const bytes = Buffer.alloc(width * height * 3)
  for (let i = 0, x = 7; i < bytes.length; i++) bytes[i] = (x = (x * 48271) % 2147483647) >> 8
  return sharp(bytes, { raw: { width, height, channels: 3 } })
    .png()
    .toBuffer()
}

let house: House
const rowsOf = async (sql: string, values: unknown[] = []): Promise<RowDataPacket[]> => {
  const connection = await house.connect()
  try {
    return (await connection.query<RowDataPacket[]>(sql, values))[0]
  } finally {
    await connection.end()
  }
}
const kept = async (who: Person, id: number, headers: Record<string, string> = {}) => {
  const answer = await who.fetch(`/submissions/${id}/picture/full`, { headers })
  return { status: answer.status, bytes: Buffer.from(await answer.arrayBuffer()) }
}
/** A large picture, as it is shown closely; and a part of it, over the edge of what lies together. */
async function closely(who: Person): Promise<number> {
  const answer = await who.handIn(await noise(1200, 1000))
  expect(answer.status).toBe(200)
  const { id } = (await answer.json()) as { id: number }
  const whole = await kept(who, id),
    part = await kept(who, id, { range: 'bytes=999000-1001999' })
  expect((await sharp(whole.bytes).metadata()).width).toBe(1200)
  expect(whole.bytes.length).toBeGreaterThan(1_002_000)
  expect([part.status, part.bytes.equals(whole.bytes.subarray(999_000, 1_002_000))]).toEqual([206, true])
  return id
}

describe('in the database', () => {
  afterAll(() => house.close())

  it('lie in parts of at most 1 MB, and nothing of them is loose', async () => {
    house = await House.open()
    const learner = await house.signedIn('learner-0')
    await closely(learner)
    const lying = await rowsOf(
      `SELECT b.size, COUNT(*) AS parts, SUM(LENGTH(p.bytes)) AS bytes, MAX(LENGTH(p.bytes)) AS most FROM blobs b
       JOIN blob_parts p ON p.stored = b.stored GROUP BY b.sha256 ORDER BY b.size DESC`
    )
    // The original, and its display, thumb and full sizes.
    expect(lying).toHaveLength(4)
    expect(Number(lying[0]!.parts)).toBeGreaterThan(3)
    for (const { size, bytes, most } of lying)
      expect([Number(bytes), Number(most) <= 1_000_000]).toEqual([Number(size), true])
    expect(await rowsOf('SELECT * FROM loose_bytes')).toEqual([])
  }, 60_000)

  it('what a stop left half written goes, and what is being written stays', async () => {
    const connection = await house.connect()
    for (const [key, hours] of [
      ['a'.repeat(32), 2],
      ['b'.repeat(32), 0]
    ] as const) {
      await connection.query('INSERT INTO blob_parts (stored, part, bytes) VALUES (?, 0, ?), (?, 1, ?)', [
        ...[key, 'x', key, 'y']
      ])
      await connection.query(
        "INSERT INTO loose_bytes (stored, place, since) VALUES (?, 'database', UTC_TIMESTAMP(3) - INTERVAL ? HOUR)",
        [key, hours]
      )
    }
    await connection.end()
    await until('swept', async () => (await rowsOf('SELECT 1 FROM loose_bytes')).length === 1, 25_000)
    expect(await rowsOf('SELECT DISTINCT stored FROM blob_parts WHERE stored RLIKE "^[ab]{32}$"')).toEqual([
      { stored: 'b'.repeat(32) }
    ])
  })
})

describe('in a bucket', () => {
  let bucket: Bucket
  afterEach(() => {
    if (bucket) bucket.away = false
  })
  afterAll(async () => {
    await house.close()
    bucket.close()
    vi.unstubAllEnvs()
  })

  it('are kept and given there, while what lay in the database stays readable', async () => {
    house = await House.open({ learners: 2 })
    const before = await house.signedIn('learner-0'),
      { id } = (await (await before.handIn(await noise(200, 100))).json()) as { id: number }
    await house.allMeasured()
    bucket = await Bucket.open()
    vi.stubEnv('CRITICA_BUCKET', bucket.address)
    house.server.kill('SIGKILL')
    await house.startServer()
    const [parts] = await rowsOf('SELECT COUNT(*) AS n FROM blob_parts')
    await closely(await house.signedIn('learner-1'))
    await house.allMeasured()
    expect(await rowsOf('SELECT COUNT(*) AS n FROM blob_parts')).toEqual([parts])
    expect(bucket.objects.size).toBe(4)
    expect((await (await house.signedIn('learner-0')).fetch(`/submissions/${id}/picture/display`)).status).toBe(200)
  }, 60_000)

  it('a bucket that does not answer keeps nothing half, and is tried again by who hands in', async () => {
    const learner = await house.signedIn('learner-0'),
      counts = () => rowsOf('SELECT (SELECT COUNT(*) FROM blobs) AS b, (SELECT COUNT(*) FROM submissions) AS s'),
      before = await counts(),
      picture = await noise(300, 200)
    bucket.away = true
    const refused = await learner.handIn(picture)
    expect([refused.status, await refused.text()]).toEqual([503, expect.stringContaining('pictures are kept')])
    expect(await counts()).toEqual(before)
    bucket.away = false
    expect((await learner.handIn(picture)).status).toBe(200)
  }, 60_000)
})
