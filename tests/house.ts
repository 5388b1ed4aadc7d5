/** A database and a server of a test's own, to be stopped, frozen and killed. */
import type { ChildProcess } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { createConnection, type Connection, type RowDataPacket } from 'mysql2/promise'
import { freePort, secretsOf, startDatabase, type RunningDatabase } from '../bin/lib/database'
import { installMissing, MARIADB } from '../bin/lib/packages'
import { endChild } from '../bin/lib/processes'
import { prepareDatabase, startServer } from '../bin/lib/serve'
import { Person } from './api/client'
import { enrol, newAccount, newClass } from './people'

export const PASSWORD = 'house-lamp'

export class House {
  readonly folder = mkdtempSync(join(tmpdir(), 'critica-house-'))
  private databasePort = 0
  private port = 0
  private readonly classes: number[] = []
  database!: RunningDatabase
  server!: ChildProcess

  /** @param demo whether one may be loaded. @param path of the application on its host, empty or like "/critica". */
  private constructor(
    private readonly demo: boolean,
    private readonly path: string
  ) {}

  get origin(): string {
    return `http://127.0.0.1:${this.port}${this.path}`
  }

  /**
   * Instructors with a class each, and learners shared out among the classes: `instructor-0`, `learner-0` and so on. No
   * demo.
   */
  static async open({ instructors = 1, learners = 1, demo = false, path = '' } = {}): Promise<House> {
    const house = new House(demo, path)
    house.databasePort = await freePort()
    house.port = await freePort()
    await house.startDatabase()
    await prepareDatabase(house.database.keeperUrl)
    const connection = await house.connect()
    const account = (who: string): Promise<number> =>
      newAccount(connection, { email: `${who}@house.example`, name: who.replace('-', ' '), password: PASSWORD })
    for (let i = 0; i < instructors; i++)
      house.classes.push(await newClass(connection, `Class ${i}`, await account(`instructor-${i}`)))
    for (let i = 0; i < learners; i++)
      await enrol(connection, { classId: house.classOf(i), accountId: await account(`learner-${i}`) })
    await connection.end()
    await house.startServer()
    return house
  }

  async startDatabase(): Promise<void> {
    // Where `npm run hostile` or another of them is the first to be run on a machine.
    installMissing([MARIADB])
    // Durable, since it is killed: what was committed must be there.
    this.database = await startDatabase(this.folder, this.databasePort)
  }

  async startServer(): Promise<void> {
    this.server = await startServer({
      port: this.port,
      databaseUrl: this.database.url,
      secret: secretsOf(this.folder).session,
      demo: this.demo,
      origin: this.origin
    })
  }

  /** The class of a learner. */
  classOf(learner: number): number {
    return this.classes[learner % this.classes.length]!
  }

  connect(): Promise<Connection> {
    return createConnection({ uri: this.database.url })
  }

  /** States of all measurements. */
  async states(): Promise<string[]> {
    const connection = await this.connect(),
      [rows] = await connection.query<RowDataPacket[]>('SELECT state FROM measurements')
    await connection.end()
    return rows.map(row => row.state as string)
  }

  /** Everything handed in is measured, or could not be. @throws when that takes longer. */
  allMeasured(withinMs = 40_000): Promise<void> {
    return until(
      'everything measured',
      async () => (await this.states()).every(state => state === 'done' || state === 'failed'),
      withinMs
    )
  }

  signedIn(who: string): Promise<Person> {
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
  for (const end = Date.now() + withinMs; Date.now() < end; await new Promise(resolve => setTimeout(resolve, 150)))
    if (await so()) return
  throw new Error(`not within ${withinMs / 1000} s: ${what}`)
}
