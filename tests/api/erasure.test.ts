/**
 * What belongs to a person: taken away whole, and taken out without a trace, while everybody else's stays to the byte.
 */
import { createHash, randomUUID } from 'node:crypto'
import { unzipSync } from 'fflate'
import type { Connection, RowDataPacket } from 'mysql2/promise'
import MailComposer from 'nodemailer/lib/mail-composer/index.js'
import sharp from 'sharp'
import { afterAll, beforeAll, expect, it, vi } from 'vitest'
import { closePool, openPool } from '../../server/db/pool'
import { sweepErasures } from '../../server/services/house/erasing'
import { enrol, newAccount, newClass } from '../people'
import { database, Person, picture } from './client'

const password = 'three grey gulls asleep',
  mark = randomUUID().slice(0, 8),
  NAME = `Zephyrine Tollgate ${mark}`,
  EMAIL = `zephyrine-${mark}@school.example`,
  WORDS = `halyards-${mark}`
let connection: Connection, classId: number, learnerId: number
let instructor: Person, learner: Person, other: Person, owner: Person
beforeAll(async () => {
  connection = await database()
  const account = (name: string, house?: 'owner'): Promise<number> =>
    newAccount(connection, { email: `${name}-${mark}@school.example`, name, password, ...(house && { house }) })
  classId = await newClass(connection, 'Weir class', await account('weir'))
  learnerId = await newAccount(connection, { email: EMAIL, name: NAME, password })
  for (const accountId of [learnerId, await account('mate')]) await enrol(connection, { classId, accountId })
  await account('runs', 'owner')
  const signedIn = (name: string) => Person.signedIn(`${name}-${mark}@school.example`, { password })
  instructor = await signedIn('weir')
  learner = await signedIn('zephyrine')
  other = await signedIn('mate')
  owner = await signedIn('runs')
  // A moment after its start the server reminds of what the demo has due: not while rows are compared to the byte.
  await vi.waitFor(
    async () => {
      const [told] = await connection.query<RowDataPacket[]>('SELECT id FROM assignments WHERE reminded_at IS NOT NULL')
      expect(told.length).toBeGreaterThan(0)
    },
    { timeout: 25_000, interval: 250 }
  )
}, 40_000)
afterAll(() => connection.end())

const noise = (seed: number): Promise<Buffer> =>
  sharp({
    create: {
      width: 90,
      height: 70,
      channels: 3,
      background: { r: seed, g: 90, b: 140 },
      noise: { type: 'gaussian', mean: 120, sigma: 30 }
    }
  })
    .png()
    .toBuffer()

/** Every row of every table, as text, keyed by table; blobs by their bytes. */
async function everything(): Promise<Map<string, string[]>> {
  const [tables] = await connection.query<RowDataPacket[]>('SHOW TABLES')
  const found = new Map<string, string[]>()
  for (const row of tables) {
    const table = String(Object.values(row)[0]),
      [rows] = await connection.query<RowDataPacket[]>(`SELECT * FROM \`${table}\``)
    found.set(
      table,
      rows.map(r =>
        JSON.stringify(r, (_, value: unknown) =>
          value && typeof value === 'object' && (value as { type?: string }).type === 'Buffer'
            ? Buffer.from((value as { data: number[] }).data).toString('latin1')
            : value
        )
      )
    )
  }
  return found
}

/** Hands in, is corrected with words about it, released, asked back, answered, and an exercise handed in. */
async function aWholeCritique(file: Buffer): Promise<number> {
  const words = { classId: `${classId}`, title: `${WORDS} at dusk`, question: `Do the ${WORDS} read?` }
  const { id } = (await (await learner.handIn(file, words)).json()) as { id: number }
  await learner.measured(id)
  const correction = {
    station: 'values',
    area: { kind: 'rectangle', x: 0, y: 0, w: 0.5, h: 0.5 },
    readingId: null,
    reason: `The ${WORDS} merge.`,
    what: `${NAME}, the ${WORDS} merge.`,
    todo: 'Lift them.',
    target: null
  }
  await instructor.json('POST', `/submissions/${id}/corrections`, correction)
  await instructor.json('PUT', `/submissions/${id}/verdict`, { works: `The ${WORDS}.`, verdict: 'Good.', revision: 0 })
  await instructor.json('PUT', `/submissions/${id}/assignment`, { exercise: 'opposites', dueOn: '2027-01-01' })
  expect((await instructor.json('POST', `/submissions/${id}/release`)).status).toBe(200)
  await learner.json('POST', `/submissions/${id}/question`, { question: `Which ${WORDS}?` })
  await instructor.json('PUT', `/submissions/${id}/answer`, { answer: `The ${WORDS} left.` })
  const [assignment] = (await (await learner.fetch('/assignments')).json()) as { id: number }[]
  await learner.json('PUT', `/assignments/${assignment!.id}/plan`, {
    subject: `${WORDS} at noon`,
    goal: '',
    scheme: 'complementary',
    hue: 240,
    amounts: [0.6, 0.3, 0.1]
  })
  const study = new FormData()
  study.append('picture', new Blob([new Uint8Array(await noise(60))]), 'study.png')
  expect((await learner.fetch(`/assignments/${assignment!.id}/studies`, { method: 'POST', body: study })).status).toBe(
    200
  )
  await learner.handIn(await noise(40), {
    classId: `${classId}`,
    title: `${WORDS} again`,
    assignmentId: `${assignment!.id}`
  })
  await learner.fetch(`/submissions/${id}/picture/full`)
  // One that came by mail and waits.
  const mail = new FormData(),
    attachments = [
      {
        filename: 'boat.png',
        content: await sharp(await noise(77))
          .resize(300)
          .png()
          .toBuffer()
      }
    ],
    raw = await new MailComposer({ from: EMAIL, subject: `${WORDS} by mail`, attachments }).compile().build()
  mail.append('letter', new Blob([new Uint8Array(raw)]), 'saved.eml')
  expect(await (await instructor.fetch('/inbox', { method: 'POST', body: mail })).json()).toMatchObject({ pictures: 1 })
  return id
}

it('is taken away whole, in open formats, with a page that opens without us; then goes, without a trace', async () => {
  const before = await everything()
  const own = await noise(200),
    shared = await picture(64, 48)
  const kept = ((await (await other.handIn(shared, { classId: `${classId}` })).json()) as { id: number }).id
  await other.measured(kept)
  const othersBefore = await (await other.fetch(`/submissions/${kept}`)).text()
  const id = await aWholeCritique(own)
  // The same picture handed in by both is kept once, and stays for the one who stays.
  await learner.handIn(shared, { classId: `${classId}`, title: `${WORDS} shared` })
  const between = await everything()
  const told = (trace: string): string[] =>
    [...between].filter(([, rows]) => rows.some(r => r.includes(trace))).map(([t]) => t)
  expect(told(NAME)).toEqual(expect.arrayContaining(['accounts', 'outbox', 'corrections', 'phrases']))
  expect(told(WORDS)).toEqual(expect.arrayContaining(['submissions', 'critiques', 'corrections', 'outbox', 'letters']))

  const zip = unzipSync(new Uint8Array(await (await learner.fetch(`/people/${learnerId}/record`)).arrayBuffer()))
  const names = Object.keys(zip),
    text = (name: string): string => Buffer.from(zip[name]!).toString('utf8')
  const folder = names.find(n => n.endsWith('critique.json'))!.replace('critique.json', '')
  for (const name of ['piece.json', 'report.json', 'readings.csv', 'annotations.json', 'as-handed-in.png'])
    expect(names).toContain(folder + name)
  expect(names.filter(n => /^by-mail\/.*boat.*\.png$/.test(n))).toHaveLength(1)
  expect(createHash('sha256').update(zip[`${folder}as-handed-in.png`]!).digest('hex')).toBe(
    (
      (
        await connection.query<RowDataPacket[]>(
          `SELECT p.original_sha AS sha FROM submissions s JOIN pictures p ON p.id = s.picture_id WHERE s.id = ${id}`
        )
      )[0][0] as { sha: string }
    ).sha
  )
  const page = text('index.html')
  expect(page).toContain(NAME)
  expect(page).toContain(`The ${WORDS} left.`)
  expect(page).not.toMatch(/<script|https?:\/\//)
  for (const [, link] of page.matchAll(/(?:src|href)="([^"]+)"/g)) expect(names).toContain(link)
  expect(JSON.parse(text('record.json'))).toMatchObject({
    account: { email: EMAIL },
    classes: [{ name: 'Weir class' }]
  })
  expect((await other.fetch(`/people/${learnerId}/record`)).status).toBe(404)

  const going = async () =>
    ((await (await learner.fetch(`/people/${learnerId}/erasure`)).json()) as { erasure: { at: string } | null }).erasure
  const ask = (who: Person, body: object) => who.json('PUT', `/people/${learnerId}/erasure`, body)
  expect((await ask(instructor, { wish: 'guardian', atOnce: true })).status).toBe(403)
  expect((await ask(instructor, { wish: 'guardian' })).status).toBe(200)
  expect(Math.round((Date.parse((await going())!.at) - Date.now()) / 86_400_000)).toBe(14)
  expect((await learner.json('DELETE', `/people/${learnerId}/erasure`)).status).toBe(200)
  expect(await going()).toBeNull()
  expect((await ask(owner, { wish: 'own', atOnce: true })).status).toBe(200)

  expect((await learner.fetch('/submissions')).status).toBe(401)
  const after = await everything()
  const [blobRows] = await connection.query<RowDataPacket[]>('SELECT sha256 FROM blobs')
  const gone = [...between.get('blobs')!]
    .map(r => JSON.parse(r) as { sha256: string; stored: string })
    .filter(({ sha256 }) => !blobRows.some(r => r.sha256 === sha256))
  expect(gone.length).toBeGreaterThanOrEqual(5)
  // The bytes lie under their keys, and went with them.
  const keys = gone.flatMap(({ sha256, stored }) => [sha256, stored])
  for (const trace of [NAME, EMAIL, EMAIL.split('@')[0]!, WORDS, ...keys])
    for (const [table, rows] of after)
      expect(
        rows.filter(r => r.includes(trace)),
        `${trace} in ${table}`
      ).toEqual([])

  // Whatever was there before any of it is there still, to the byte: but for the counts of the class, and what others
  // did meanwhile.
  expect(await (await other.fetch(`/submissions/${kept}`)).text()).toBe(othersBefore)
  for (const table of [
    'pictures',
    'submissions',
    'areas',
    'critiques',
    'corrections',
    'assignments',
    'blobs',
    'rubrics',
    'phrases'
  ])
    for (const row of before.get(table)!) expect(after.get(table), table).toContain(row)
  const [[counts]] = await connection.query<RowDataPacket[]>(
    `SELECT erased_learners, erased_pieces FROM classes WHERE id = ${classId}`
  )
  expect(counts).toEqual({ erased_learners: 1, erased_pieces: 3 })
  const trail = await (await owner.fetch('/house/audit/table')).text()
  expect(trail).toContain('erased')
  expect(trail).toContain(`somebody erased (${learnerId})`)
  expect(trail).toContain('took a whole record away')
  expect(trail).toContain('released a critique')
  expect(trail).not.toContain('Tollgate')
})

it('is refused of somebody whom a class or the house still needs', async () => {
  const [[weir]] = await connection.query<RowDataPacket[]>(
    `SELECT id FROM accounts WHERE email = 'weir-${mark}@school.example'`
  )
  const response = await owner.json('PUT', `/people/${weir!.id}/erasure`, { wish: 'own', atOnce: true })
  expect([response.status, ((await response.json()) as { error: { message: string } }).error.message]).toEqual([
    422,
    'Nobody else teaches “Weir class”: make somebody else its instructor first.'
  ])
})

it('of somebody unused for as long as records are kept goes by itself, a month after all were warned', async () => {
  const email = `gone-${mark}@school.example`,
    id = await newAccount(connection, { email, name: 'Long Gone', password })
  await enrol(connection, { classId, accountId: id })
  const set = (retentionMonths: number | null) => owner.json('PUT', '/house', { retentionMonths })
  const erasure = async () =>
    (await connection.query<RowDataPacket[]>(`SELECT erase_at, erase_wish FROM accounts WHERE id = ${id}`))[0][0] as
      { erase_at: Date | null; erase_wish: string | null } | undefined
  const sweep = async (): Promise<void> => {
    openPool(process.env.CRITICA_DATABASE_URL!)
    await sweepErasures().finally(closePool)
  }
  const age = (column: string, months: number) =>
    connection.query(`UPDATE accounts SET ${column} = UTC_TIMESTAMP(3) - INTERVAL ${months} MONTH WHERE id = ${id}`)
  await age('created_at', 30)
  await age('seen_at', 11)
  // Off unless the house says so; and not before its time.
  await sweep()
  await set(12)
  try {
    await sweep()
    expect((await erasure())!.erase_at).toBeNull()
    await age('seen_at', 13)
    await sweep()
    const { erase_at, erase_wish } = (await erasure())!
    expect([erase_wish, Math.round((erase_at!.getTime() - Date.now()) / 86_400_000)]).toEqual(['retention', 30])
    const subjects = async (who: Person): Promise<string[]> =>
      ((await (await who.fetch('/outbox')).json()) as { subject: string }[]).map(m => m.subject)
    expect((await subjects(instructor)).some(s => s.startsWith('Long Gone will be erased'))).toBe(true)
    // Whoever comes back keeps it.
    expect(await subjects(await Person.signedIn(email, { password }))).toContainEqual(
      expect.stringContaining('Your account will be erased')
    )
    expect((await erasure())!.erase_at).toBeNull()
    await age('seen_at', 13)
    await sweep()
    await connection.query(`UPDATE accounts SET erase_at = UTC_TIMESTAMP(3) - INTERVAL 1 SECOND WHERE id = ${id}`)
    await sweep()
    expect(await erasure()).toBeUndefined()
  } finally {
    await set(null)
  }
})
