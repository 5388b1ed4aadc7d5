/**
 * Numbered plain SQL files, applied once and recorded. MariaDB commits each DDL statement by
 * itself, so every statement is written to be run again (IF NOT EXISTS): after an interruption the
 * unrecorded file simply runs once more. Of several that start, one does it (`alone`).
 */
import { readdir, readFile } from 'node:fs/promises'
import { join } from 'node:path'
import type { Pool } from 'mysql2/promise'
import { alone } from './alone'
import type { Changed, Row } from './pool'

/** What a statement begins with that does a part of its work each time. */
const REPEATED = /^\/\* until nothing changes \*\//

/** Statements of a file: split at semicolons that end a line, comments dropped. */
export function statementsOf(sql: string): string[] {
  return sql
    .replace(/^\s*--.*$/gm, '')
    .split(/;\s*(?:\n|$)/)
    .map(s => s.trim())
    .filter(s => s !== '')
}

/** Tables that a later version has changed: what this one would write to them, nobody knows. */
export class NewerTables extends Error {
  constructor(names: readonly string[]) {
    super(`the database was brought up to date by a newer version of Critica (${names.join(', ')}): start that one`)
  }
}

/** @returns the names of the files applied now. @throws NewerTables, and Error naming the file that failed. */
export const migrate = (pool: Pool, folder: string): Promise<string[]> => alone(pool, () => apply(pool, folder))

async function apply(pool: Pool, folder: string): Promise<string[]> {
  const connection = await pool.getConnection()
  try {
    const run = async (statement: string): Promise<void> => {
      for (let more = true; more;) {
        const [{ affectedRows }] = await connection.query<Changed>(statement)
        more = REPEATED.test(statement) && affectedRows > 0
      }
    }
    // Tables of many pictures take their time.
    await connection.query('SET max_statement_time = 0')
    await connection.query(
      'CREATE TABLE IF NOT EXISTS migrations (name VARCHAR(120) NOT NULL PRIMARY KEY,'
        + ' applied_at DATETIME(3) NOT NULL DEFAULT UTC_TIMESTAMP(3))'
    )
    const [rows] = await connection.query<Row[]>('SELECT name FROM migrations')
    const done = new Set(rows.map(row => String(row.name)))
    const files = (await readdir(folder)).filter(f => /^\d{4}_.+\.sql$/.test(f)).sort()
    const newer = [...done].filter(name => name > (files.at(-1) ?? ''))
    if (newer.length > 0) throw new NewerTables(newer)
    const applied: string[] = []
    for (const file of files.filter(f => !done.has(f))) {
      try {
        for (const statement of statementsOf(await readFile(join(folder, file), 'utf8'))) await run(statement)
      } catch (error) {
        throw new Error(`the migration ${file} failed: ${(error as Error).message}`, { cause: error })
      }
      await connection.execute('INSERT INTO migrations (name) VALUES (?)', [file])
      applied.push(file)
    }
    return applied
  } finally {
    connection.release()
  }
}
