/**
 * `npm run cluster`: three servers, each at a database of its own of one cluster, at work while every twenty seconds
 * one of the six is killed and brought back; for five minutes (`npm run cluster -- 1`: for one). People ask whichever
 * server answers, as a proxy would send them. What was answered for must be there afterwards, once.
 */
import type { ChildProcess } from 'node:child_process'
import { randomBytes } from 'node:crypto'
import { setTimeout as wait } from 'node:timers/promises'
import mysql, { type RowDataPacket } from 'mysql2/promise'
import { freePort } from '../../bin/lib/database'
import { endChild } from '../../bin/lib/processes'
import { prepareDatabase, startServer } from '../../bin/lib/serve'
import { seededRandom } from '../../core/numeric/random'
import { Person, picture } from '../api/client'
import { Cluster } from '../cluster'
import { PASSWORD, until } from '../house'
import { enrol, newAccount, newClass } from '../people'
import { postOffice } from '../post-office'
import { conclude, figure } from './figures'

const MINUTES = Number(process.argv[2] ?? 5),
  SIZE = 3,
  LEARNERS = 40,
  INSTRUCTORS = 2,
  KILL_EVERY_MS = 20_000,
  BACK_AFTER_MS = 3000
const random = seededRandom(2)

const post = await postOffice()
process.env.CRITICA_SMTP_URL = post.url

const cluster = await Cluster.open(SIZE),
  ports = await Promise.all(Array.from({ length: SIZE }, freePort)),
  servers: ChildProcess[] = []
const serve = async (i: number): Promise<void> => {
  servers[i] = await startServer({ port: ports[i]!, databaseUrl: cluster.url(i), secret: cluster.secret, demo: false })
}
await prepareDatabase(cluster.keeperUrl(0))
const connection = await mysql.createConnection({ uri: cluster.url(0), timezone: 'Z' }),
  account = (name: string): Promise<number> =>
    newAccount(connection, { email: `${name}@critica.test`, name, password: PASSWORD })
const classId = await newClass(connection, 'At work', await account('instructor-0'))
for (let i = 1; i < INSTRUCTORS; i++)
  await connection.execute("INSERT INTO memberships (class_id, account_id, role) VALUES (?, ?, 'instructor')", [
    classId,
    await account(`instructor-${i}`)
  ])
for (let i = 0; i < LEARNERS; i++) await enrol(connection, { classId, accountId: await account(`learner-${i}`) })
await connection.end()
for (let i = 0; i < SIZE; i++) await serve(i)

let going = true,
  longestTrouble = 0,
  asked = 0
const pieces = new Map<string, number>(),
  corrections = new Map<number, string[]>()

/** One person, at whichever server answers: the next one where it does not. */
class Somebody {
  private at = Math.floor(random() * SIZE)
  private cookie = ''
  private troubleFrom = 0

  constructor(readonly name: string) {}

  async enter(): Promise<void> {
    const { cookie } = await Person.signedIn(`${this.name}@critica.test`, {
      password: PASSWORD,
      origin: `http://127.0.0.1:${ports[0]}`
    })
    this.cookie = cookie
  }

  /** Asked until it is answered for, and how long that took at the most. @returns null when the time is over. */
  async ask(ask: (person: Person) => Promise<Response>): Promise<Response | null> {
    for (;;) {
      const person = Object.assign(new Person(`http://127.0.0.1:${ports[this.at]}`), { cookie: this.cookie })
      // Also to wait is trouble.
      this.troubleFrom ||= Date.now()
      const answer = await ask(person).catch(() => null)
      asked++
      longestTrouble = Math.max(longestTrouble, Date.now() - this.troubleFrom)
      if (answer && answer.status < 500) {
        this.troubleFrom = 0
        return answer
      }
      this.at = (this.at + 1) % SIZE
      if (!going) return null
      await wait(200)
    }
  }
}

async function learn(name: string): Promise<void> {
  const somebody = new Somebody(name)
  await somebody.enter()
  for (let n = 0; going; n++) {
    await somebody.ask(person => person.fetch('/submissions'))
    if (n % 6 === 0) {
      const key = randomBytes(16).toString('hex'),
        file = await picture(80 + (n % 40), 60),
        words = { classId: `${classId}`, title: `By ${name}, ${n}`, key },
        answer = await somebody.ask(person => person.handIn(file, words))
      if (answer?.ok) pieces.set(key, ((await answer.json()) as { id: number }).id)
    }
    await wait(1000 + 2000 * random())
  }
}

async function teach(name: string): Promise<void> {
  const somebody = new Somebody(name)
  await somebody.enter()
  for (let n = 0; going; n++) {
    await somebody.ask(person => person.fetch('/shelves'))
    const ids = [...pieces.values()],
      id = ids[Math.floor(random() * ids.length)]
    if (id !== undefined) {
      const what = `${name} ${n}`,
        correction = { station: 'values', area: null, readingId: null, reason: '', what, todo: '', target: null }
      const key = `${name}-presses-${n}`
      const marked = await somebody.ask(person => person.once(key, `/submissions/${id}/corrections`, correction))
      if (marked?.ok) corrections.set(id, [...(corrections.get(id) ?? []), what])
      // Its learner is mailed.
      if (n % 4 === 3) await somebody.ask(person => person.once(key, `/submissions/${id}/release`, {}))
    }
    await wait(500)
  }
}

const everybody = [
  ...Array.from({ length: LEARNERS }, (_, i) => learn(`learner-${i}`)),
  ...Array.from({ length: INSTRUCTORS }, (_, i) => teach(`instructor-${i}`))
]
for (let turn = 0, end = Date.now() + MINUTES * 60_000; Date.now() < end; turn++) {
  await wait(KILL_EVERY_MS - BACK_AFTER_MS)
  const which = Math.floor(random() * SIZE)
  if (turn % 2 === 0) {
    servers[which]!.kill('SIGKILL')
    await wait(BACK_AFTER_MS)
    await serve(which)
  } else {
    cluster.kill(which)
    await wait(BACK_AFTER_MS)
    await cluster.start(which)
  }
  console.log(`killed ${turn % 2 ? 'database' : 'server'} ${which}; ${asked} asked, ${pieces.size} pieces`)
}
going = false
await Promise.all(everybody)

const twice = (of: readonly string[]): number => of.length - new Set(of).size
const rowsOf = async (sql: string): Promise<RowDataPacket[]> => {
  const keeper = await cluster.connect(1),
    [rows] = await keeper.query<RowDataPacket[]>(sql)
  await keeper.end()
  return rows
}
await until(
  'everything is measured',
  async () => (await rowsOf("SELECT 1 FROM measurements WHERE state <> 'done'")).length === 0,
  180_000
)
await until(
  'every mail is sent',
  async () => (await rowsOf('SELECT 1 FROM outbox WHERE delivered_at IS NULL')).length === 0,
  120_000
).catch(() => {})
const kept = await rowsOf('SELECT id, hand_in_key FROM submissions'),
  marks = await rowsOf('SELECT submission_id, what FROM corrections')
console.log(`${asked} asked, ${pieces.size} pieces and ${marks.length} corrections, ${post.mails.length} mails`)
figure('pieces answered for and not there', {
  value: [...pieces].filter(([key, id]) => !kept.some(row => row.id === id && row.hand_in_key === key)).length,
  most: 0
})
figure('pieces that are there twice', {
  value: twice(kept.map(row => row.hand_in_key as string)),
  most: 0
})
figure('corrections answered for and not there', {
  value: [...corrections].flatMap(([id, whats]) =>
    whats.filter(what => !marks.some(row => row.submission_id === id && row.what === what))
  ).length,
  most: 0
})
figure('corrections that are there twice', {
  value: twice(marks.map(row => row.what as string)),
  most: 0
})
// By its number, and by what it tells whom: a piece is released once.
const letters = post.mails.map(mail => /^Message-ID: (.*)$/im.exec(mail)![1]!.trim()),
  told = post.mails.map(mail => `${/^To: (.*)$/im.exec(mail)![1]} ${/^Subject: (.*(\r?\n .*)*)/im.exec(mail)![1]}`)
figure('mails sent twice', { value: twice(letters) + twice(told), most: 0 })
figure('mails not sent', {
  value: (await rowsOf('SELECT 1 FROM outbox WHERE delivered_at IS NULL')).length,
  most: 0
})
figure('longest time that nobody answered a person', { value: longestTrouble / 1000, most: 10, unit: ' s' })
await Promise.all(servers.map(server => endChild(server, 5000)))
await cluster.close()
post.close()
conclude()
