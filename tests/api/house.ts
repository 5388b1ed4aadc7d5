/** A database and a server of a test's own, to be stopped, frozen and killed. */
import type { ChildProcess } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { createConnection } from 'mysql2/promise'
import { freePort, secretsOf, startDatabase, type RunningDatabase } from '../../bin/lib/database'
import { endChild } from '../../bin/lib/processes'
import { prepareDatabase, startServer } from '../../bin/lib/serve'
import { insertAccount } from '../../server/db/accounts'
import { insertClass, insertEnrolment } from '../../server/db/classes'
import { hashPassword } from '../../server/services/passwords'
import { Person } from './client'

export const PASSWORD = 'house-lamp'

export class House {
  readonly folder = mkdtempSync(join(tmpdir(), 'critica-house-'))
  private databasePort = 0
  private port = 0
  database!: RunningDatabase
  server!: ChildProcess

  get origin(): string {
    return `http://127.0.0.1:${this.port}`
  }

  /** One instructor, one class, one learner; no demo. */
  static async open(): Promise<House> {
    const house = new House()
    house.databasePort = await freePort()
    house.port = await freePort()
    await house.startDatabase()
    await prepareDatabase(house.database.url, false)
    const connection = await createConnection({ uri: house.database.url }), passwordHash = await hashPassword(PASSWORD)
    const instructor = await insertAccount(connection, { email: 'instructor@house.example', name: 'Instructor', role: 'instructor', passwordHash })
    const learner = await insertAccount(connection, { email: 'learner@house.example', name: 'Learner', role: 'learner', passwordHash })
    await insertEnrolment(connection, await insertClass(connection, 'House', instructor, 25), learner)
    await connection.end()
    await house.startServer()
    return house
  }

  async startDatabase(): Promise<void> {
    // Durable, since it is killed: what was committed must be there.
    this.database = await startDatabase(this.folder, this.databasePort)
  }

  async startServer(): Promise<void> {
    this.server = await startServer({ port: this.port, databaseUrl: this.database.url, secret: secretsOf(this.folder).session, demo: false })
  }

  signedIn(who: 'instructor' | 'learner'): Promise<Person> {
    return Person.signedIn(`${who}@house.example`, { password: PASSWORD, origin: this.origin })
  }

  async close(): Promise<void> {
    this.database.process.kill('SIGCONT')
    await endChild(this.server, 5000)
    await this.database.stop()
    rmSync(this.folder, { recursive: true, force: true })
  }
}

/** Waits until something is so. @throws when it is not within the time. */
export async function until(what: string, so: () => Promise<boolean> | boolean, withinMs = 30_000): Promise<void> {
  for (const end = Date.now() + withinMs; Date.now() < end; await new Promise(resolve => setTimeout(resolve, 150))) if (await so()) return
  throw new Error(`not within ${withinMs / 1000} s: ${what}`)
}
