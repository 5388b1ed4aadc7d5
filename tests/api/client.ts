/** Speaking to the running server as a person of the demo, and to its database. */
import type { ChildProcess } from 'node:child_process'
import mysql from 'mysql2/promise'
import sharp from 'sharp'
import { freePort } from '../../bin/lib/database'
import { startServer } from '../../bin/lib/serve'
import { DEMO_PASSWORD } from '../../demo/people'

export const ORIGIN = process.env.CRITICA_TEST_ORIGIN ?? 'http://127.0.0.1:3000'

/** A signed-in (or not) person: fetches with their own cookie. */
export class Person {
  cookie = ''

  constructor(readonly origin = ORIGIN) {}

  async fetch(path: string, init: RequestInit = {}): Promise<Response> {
    const response = await fetch(`${this.origin}/api${path}`, {
      ...init,
      headers: { ...init.headers, cookie: this.cookie }
    })
    for (const set of response.headers.getSetCookie()) this.cookie = set.split(';')[0]
    return response
  }

  json(method: string, path: string, body?: unknown): Promise<Response> {
    return this.fetch(path, {
      method,
      ...(body === undefined ? {} : { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } })
    })
  }

  /** One request, however often it is sent with this key. */
  once(key: string, path: string, body: unknown): Promise<Response> {
    return this.fetch(path, {
      method: 'POST',
      body: JSON.stringify(body),
      headers: { 'content-type': 'application/json', 'idempotency-key': `"${key}"` }
    })
  }

  static async signedIn(key: string, { password = DEMO_PASSWORD, origin = ORIGIN } = {}): Promise<Person> {
    const person = new Person(origin)
    const response = await person.json('POST', '/session', {
      login: key.includes('@') ? key : `${key}@harbour.example`,
      password
    })
    if (!response.ok) throw new Error(`${key} could not sign in: ${await response.text()}`)
    return person
  }

  /** Hands a file in; words can be overridden. */
  async handIn(picture: Buffer, words: Record<string, string> = {}): Promise<Response> {
    const form = new FormData()
    for (const [name, value] of Object.entries({
      classId: '1',
      title: 'Test piece',
      stage: 'study',
      medium: 'gouache',
      question: '',
      about: '',
      plannedScheme: '',
      ...words
    }))
      form.append(name, value)
    form.append('picture', new Blob([new Uint8Array(picture)]), 'piece.png')
    return this.fetch('/submissions', { method: 'POST', body: form })
  }

  /** Waits until a submission is measured. */
  async measured(id: number): Promise<{ state: string; report?: Record<string, never>; reason?: string }> {
    for (let i = 0; i < 200; i++) {
      const { measurement } = await (await this.fetch(`/submissions/${id}`)).json()
      if (measurement.state === 'done' || measurement.state === 'failed') return measurement
      await new Promise(resolve => setTimeout(resolve, 100))
    }
    throw new Error(`submission ${id} was not measured in 20 s`)
  }
}

/** Another server on the same database, by itself for a test to kill. */
export async function anotherServer(): Promise<{ server: ChildProcess; origin: string }> {
  const port = await freePort()
  const server = await startServer({
    port,
    databaseUrl: process.env.CRITICA_DATABASE_URL!,
    secret: process.env.CRITICA_SECRET!,
    demo: true
  })
  return { server, origin: `http://127.0.0.1:${port}` }
}

/** A connection to the database behind the server, to prove what was kept. */
export const database = (): Promise<mysql.Connection> =>
  mysql.createConnection({ uri: process.env.CRITICA_DATABASE_URL!, timezone: 'Z' })

/** The same by the account that keeps the tables: what brings them up to date runs as nothing else. */
export const keeper = (): Promise<mysql.Connection> =>
  mysql.createConnection({ uri: process.env.TEST_KEEPER_URL!, timezone: 'Z' })

/** A small two-colour picture. */
export function picture(width = 80, height = 60, colour = '#2a71b0'): Promise<Buffer> {
  return sharp({ create: { width, height, channels: 3, background: colour } })
    .composite([
      {
        input: {
          create: { width: Math.ceil(width / 4), height: Math.ceil(height / 4), channels: 3, background: '#f18e1c' }
        },
        left: 0,
        top: 0
      }
    ])
    .png()
    .toBuffer()
}

/** What is kept in the database of the bytes of a hash. */
export async function keptBytes(connection: mysql.Connection, sha256: string): Promise<Buffer> {
  const [parts] = await connection.query<mysql.RowDataPacket[]>(
    'SELECT p.bytes FROM blobs b JOIN blob_parts p ON p.stored = b.stored WHERE b.sha256 = ? ORDER BY p.part',
    [sha256]
  )
  return Buffer.concat(parts.map(part => part.bytes as Buffer))
}
