/**
 * Three servers, each at a database of its own of one cluster: what is answered for by one is read at all, what may be
 * done so often is not done once more elsewhere, and a database that is killed takes nothing with it.
 */
import type { ChildProcess } from 'node:child_process'
import mysql, { type RowDataPacket } from 'mysql2/promise'
import { afterAll, beforeAll, expect, it, vi } from 'vitest'
import { freePort } from '../../../bin/lib/database'
import { endChild } from '../../../bin/lib/processes'
import { prepareDatabase, startServer } from '../../../bin/lib/serve'
import { Cluster } from '../../cluster'
import { PASSWORD, until } from '../../house'
import { enrol, newAccount, newClass } from '../../people'
import { postOffice, type PostOffice } from '../../post-office'
import { Person, picture } from '../client'

const SIZE = 3
let cluster: Cluster, classId: number
const servers: ChildProcess[] = [],
  origins: string[] = []
let post: PostOffice

beforeAll(async () => {
  cluster = await Cluster.open(SIZE)
  // All at once: one brings the tables up to date, the others wait for it.
  await prepareDatabase(cluster.keeperUrl(0))
  const connection = await mysql.createConnection({ uri: cluster.url(0), timezone: 'Z' }),
    account = (name: string): Promise<number> =>
      newAccount(connection, { email: `${name}@house.example`, name, password: PASSWORD })
  classId = await newClass(connection, 'Three servers', await account('reed'))
  await enrol(connection, { classId, accountId: await account('alma') })
  await connection.end()
  post = await postOffice()
  vi.stubEnv('CRITICA_SMTP_URL', post.url)
  for (let i = 0; i < SIZE; i++) {
    const port = await freePort()
    origins.push(`http://127.0.0.1:${port}`)
    servers.push(await startServer({ port, databaseUrl: cluster.url(i), secret: cluster.secret, demo: false }))
  }
}, 180_000)
afterAll(async () => {
  await Promise.all(servers.map(server => endChild(server, 5000)))
  post.close()
  vi.unstubAllEnvs()
  await cluster.close()
}, 30_000)

/** The same person, at each of the servers. */
async function everywhere(name: string): Promise<Person[]> {
  const { cookie } = await Person.signedIn(`${name}@house.example`, { password: PASSWORD, origin: origins[0]! })
  return origins.map(origin => Object.assign(new Person(origin), { cookie }))
}
const rowsAt = async (i: number, sql: string): Promise<RowDataPacket[]> => {
  const connection = await cluster.connect(i)
  try {
    return (await connection.query<RowDataPacket[]>(sql))[0]
  } finally {
    await connection.end()
  }
}

it('every table has a key by which its rows are told apart anywhere', async () => {
  const bare = await rowsAt(
    0,
    `SELECT t.table_name AS name FROM information_schema.tables t WHERE t.table_schema = 'critica' AND NOT EXISTS
       (SELECT 1 FROM information_schema.table_constraints c WHERE c.table_schema = t.table_schema
         AND c.table_name = t.table_name AND c.constraint_type = 'PRIMARY KEY')`
  )
  expect(bare).toEqual([])
})

it('reads at each what was answered for by another a moment ago', async () => {
  const [here, ...there] = await everywhere('alma')
  for (let i = 0; i < 5; i++) {
    const { id } = (await (await here!.handIn(await picture(90 + i, 60), { classId: `${classId}` })).json()) as {
      id: number
    }
    for (const at of there) expect((await at.fetch(`/submissions/${id}`)).status).toBe(200)
  }
  await until('all are measured', async () =>
    (await rowsAt(1, 'SELECT state FROM measurements')).every(row => row.state === 'done')
  )
}, 60_000)

it('of ten exports asked for at three servers at once no more are begun than a person may have', async () => {
  const reed = await everywhere('reed'),
    [{ id }] = (await rowsAt(0, 'SELECT MIN(id) AS id FROM submissions')) as [{ id: number }]
  const asked = await Promise.all(
    Array.from({ length: 10 }, (_, i) =>
      reed[i % SIZE]!.json('POST', `/submissions/${id}/exports`, { name: 'layers.ora' })
    )
  )
  const begun = asked.filter(answer => answer.ok)
  expect(begun.length).toBeGreaterThan(0)
  expect(begun.length).toBeLessThanOrEqual(3)
  // The others are told why, or to try again: none of them is a fault.
  expect(asked.filter(answer => !answer.ok && answer.status !== 429 && answer.status !== 503)).toEqual([])
}, 60_000)

it('three servers that post from one outbox send nothing twice', async () => {
  const connection = await mysql.createConnection({ uri: cluster.url(1) })
  await connection.query(
    `INSERT INTO outbox (account_id, email, subject, body)
     SELECT MIN(a.id), CONCAT('p', q.seq, '@critica.test'), CONCAT('Number ', q.seq), '' FROM accounts a, seq_1_to_30 q
     GROUP BY q.seq`
  )
  await connection.end()
  await until('all are sent', async () => {
    const [row] = await rowsAt(
      2,
      "SELECT COUNT(*) AS n FROM outbox WHERE email LIKE '%@critica.test' AND delivered_at > 0"
    )
    return row!.n === 30
  })
  const subjects = post.mails.map(mail => /^Subject: (.*)$/m.exec(mail)![1]!.trim())
  expect(subjects).toHaveLength(30)
  expect(new Set(subjects).size).toBe(30)
}, 60_000)

it('edits of one critique at three servers at once lose nothing, and none lands after its release', async () => {
  const reed = await everywhere('reed'),
    [{ id }] = (await rowsAt(0, 'SELECT MAX(id) AS id FROM submissions')) as [{ id: number }]
  const correction = (n: number) => ({
    station: 'values',
    area: null,
    readingId: null,
    reason: '',
    what: `Number ${n}`,
    todo: '',
    target: null
  })
  const marks = Array.from({ length: 18 }, (_, n) =>
    reed[n % SIZE]!.json('POST', `/submissions/${id}/corrections`, correction(n)).then(answer => answer.status)
  )
  const released = (async () => {
    await new Promise(resolve => setTimeout(resolve, 60))
    return (await reed[1]!.json('POST', `/submissions/${id}/release`)).status
  })()
  const statuses = await Promise.all(marks)
  expect([200, 503]).toContain(await released)
  const kept = await rowsAt(2, `SELECT what, position FROM corrections WHERE submission_id = ${id}`)
  expect(kept).toHaveLength(statuses.filter(status => status === 200).length)
  expect(new Set(kept.map(row => row.position as number)).size).toBe(kept.length)
}, 60_000)

it('a database that is killed takes nothing with it; its server says so, and goes on when it is back', async () => {
  const alma = await everywhere('alma'),
    answered: number[] = []
  cluster.kill(2)
  for (let i = 0; i < 6; i++) {
    const answer = await alma[i % 2]!.handIn(await picture(70 + i, 50), { classId: `${classId}` })
    if (answer.ok) answered.push(((await answer.json()) as { id: number }).id)
    else expect(answer.status).toBe(503)
  }
  expect((await fetch(`${origins[2]}/readyz`)).status).toBe(503)
  await until('the two go on', async () => {
    const answer = await alma[0]!.handIn(await picture(99, 50), { classId: `${classId}` })
    if (answer.ok) answered.push(((await answer.json()) as { id: number }).id)
    return answer.ok
  })
  await cluster.start(2)
  await until('its server goes on', async () => (await fetch(`${origins[2]}/readyz`)).ok)
  for (const id of answered) expect((await alma[2]!.fetch(`/submissions/${id}`)).status).toBe(200)
  await until('all are measured', async () =>
    (await rowsAt(2, 'SELECT state FROM measurements')).every(row => row.state === 'done')
  )
}, 120_000)
