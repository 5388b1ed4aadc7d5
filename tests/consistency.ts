/** What must hold between the rows of a database whatever was done to it, and whatever stopped half way. */
import { createHash } from 'node:crypto'
import mysql, { type Connection, type RowDataPacket } from 'mysql2/promise'

/** As the states of critiques and exercises have it; what is kept with the piece only repeats it. */
export const SHELVES = `SELECT s.id, s.waits, s.released, COALESCE(k.state, 'draft') = 'released' AS is_released,
  CASE WHEN s.assignment_id IS NULL THEN IF(COALESCE(k.state, 'draft') = 'draft', 'review', NULL)
    WHEN x.confirmed_at IS NULL AND x.returned_at IS NULL AND x.withdrawn_at IS NULL
      AND s.id = (SELECT n.id FROM submissions n WHERE n.assignment_id = s.assignment_id
        ORDER BY n.handed_in_at DESC, n.id DESC LIMIT 1) THEN 'exercises'
  END AS is_waits
  FROM submissions s LEFT JOIN critiques k ON k.submission_id = s.id LEFT JOIN assignments x ON x.id = s.assignment_id`

/** Each finds what is there by halves. */
const HALVES: Readonly<Record<string, string>> = {
  'a piece without its critique or its place in the queue': `SELECT s.id FROM submissions s
    LEFT JOIN critiques k ON k.submission_id = s.id LEFT JOIN measurements m ON m.submission_id = s.id
    WHERE k.submission_id IS NULL OR m.submission_id IS NULL`,
  'a piece on another shelf than where it belongs': `SELECT t.id FROM (${SHELVES}) t
    WHERE NOT (t.waits <=> t.is_waits) OR t.released <> t.is_released`,
  'a measurement that nobody ends': `SELECT submission_id AS id FROM measurements
    WHERE state NOT IN ('done', 'failed')`,
  'a report without its version': `SELECT submission_id AS id FROM measurements
    WHERE state = 'done' AND (report IS NULL OR report_version IS NULL)`,
  'a released critique without its moment': `SELECT submission_id AS id FROM critiques
    WHERE state = 'released' AND released_at IS NULL`,
  'two corrections in one place': `SELECT submission_id AS id FROM corrections
    GROUP BY submission_id, position HAVING COUNT(*) > 1`,
  'an exercise that nobody was told of': `SELECT x.id FROM assignments x WHERE x.submission_id IS NULL
    AND NOT EXISTS (SELECT 1 FROM outbox o WHERE o.account_id = x.learner_id AND o.class_id = x.class_id)`,
  'a class that nobody teaches': `SELECT c.id FROM classes c
    WHERE NOT EXISTS (SELECT 1 FROM memberships m WHERE m.class_id = c.id AND m.role = 'instructor')`,
  'bytes that are neither anybody’s nor to be taken away': `SELECT DISTINCT p.stored AS id FROM blob_parts p
    LEFT JOIN blobs b ON b.stored = p.stored LEFT JOIN loose_bytes l ON l.stored = p.stored
    WHERE b.stored IS NULL AND l.stored IS NULL`
}

/** @returns a line for each thing that is there by halves, or whose bytes are not those it was kept by. */
export async function halves(connection: Connection): Promise<string[]> {
  const found: string[] = []
  for (const [what, sql] of Object.entries(HALVES)) {
    const [rows] = await connection.query<RowDataPacket[]>(sql)
    found.push(...rows.map(row => `${what}: ${row.id}`))
  }
  const [blobs] = await connection.query<RowDataPacket[]>("SELECT sha256, stored FROM blobs WHERE place = 'database'")
  for (const { sha256, stored } of blobs) {
    const [parts] = await connection.query<RowDataPacket[]>(
      'SELECT bytes FROM blob_parts WHERE stored = ? ORDER BY part',
      [stored]
    )
    const hash = createHash('sha256')
    for (const { bytes } of parts) hash.update(bytes as Buffer)
    if (hash.digest('hex') !== sha256) found.push(`bytes that are not what they were: ${sha256}`)
  }
  return found
}

/** @returns for each table how many rows it has, and their sum: of every column of every row, blobs too. */
export async function sumsOf(url: string): Promise<Record<string, string>> {
  const connection = await mysql.createConnection({ uri: url })
  try {
    const [tables] = await connection.query<RowDataPacket[]>(
      `SELECT table_name AS name FROM information_schema.tables
       WHERE table_schema = DATABASE() AND table_type = 'BASE TABLE'`
    )
    const sums: Record<string, string> = {}
    for (const { name } of tables as { name: string }[]) {
      const [[sum]] = await connection.query<RowDataPacket[]>(`CHECKSUM TABLE \`${name}\` EXTENDED`),
        [[count]] = await connection.query<RowDataPacket[]>(`SELECT COUNT(*) AS n FROM \`${name}\``)
      sums[name] = `${count!.n} rows, ${sum!.Checksum}`
    }
    return sums
  } finally {
    await connection.end()
  }
}
