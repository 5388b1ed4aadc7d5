/** Machines that only measure, and how lately each said that it is there. */
import type { Db, Row } from '../pool'

/** Who has not said so for so long is gone. */
const GONE_S = 10

export async function markMeasuringNode(db: Db, holder: string): Promise<void> {
  await db.execute(
    `INSERT INTO measuring_nodes (holder, seen_at) VALUES (?, UTC_TIMESTAMP(3))
     ON DUPLICATE KEY UPDATE seen_at = UTC_TIMESTAMP(3)`,
    [holder]
  )
}

/** It leaves, and takes along those that were lost. */
export async function dropMeasuringNode(db: Db, holder: string): Promise<void> {
  await db.execute('DELETE FROM measuring_nodes WHERE holder = ? OR seen_at < UTC_TIMESTAMP(3) - INTERVAL 1 HOUR', [
    holder
  ])
}

export async function hasMeasuringNode(db: Db): Promise<boolean> {
  const [rows] = await db.execute<Row[]>(
    `SELECT 1 FROM measuring_nodes WHERE seen_at > UTC_TIMESTAMP(3) - INTERVAL ${GONE_S} SECOND LIMIT 1`
  )
  return rows.length > 0
}
