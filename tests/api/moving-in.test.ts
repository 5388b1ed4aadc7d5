/** A class moves in: lists, links, codes, passwords, addresses, and rights that change. */
import { randomUUID } from 'node:crypto'
import type { Connection } from 'mysql2/promise'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { handedLinkSchema } from '../../shared/link'
import { memberListSchema, rosterPreviewSchema, type ListedMember } from '../../shared/roster'
import { mailListSchema } from '../../shared/mail'
import { pdfText } from '../pdf-text'
import { enrol, newAccount, newClass } from '../people'
import { spoiltList } from '../spoilt-list'
import { database, Person } from './client'

const password = 'three grey gulls asleep',
  mark = randomUUID().slice(0, 8)
const at = (name: string): string => `${name}-${mark}@school.example`
let connection: Connection, classId: number, instructorId: number, instructor: Person
beforeAll(async () => {
  connection = await database()
  instructorId = await newAccount(connection, { email: at('perrin'), name: 'Perrin Dale', password })
  classId = await newClass(connection, 'Saturday painters', instructorId)
  instructor = await Person.signedIn(at('perrin'), { password })
})
afterAll(() => connection.end())

const people = async (): Promise<ListedMember[]> =>
  memberListSchema.parse(await (await instructor.fetch(`/classes/${classId}/people`)).json())
const member = async (name: string): Promise<ListedMember> => (await people()).find(p => p.account.name === name)!
const bring = (text: string, role = 'learner') => instructor.json('POST', `/classes/${classId}/people`, { text, role })
const linkFor = async (name: string): Promise<string> => {
  const { account } = await member(name),
    response = await instructor.json('POST', `/classes/${classId}/people/${account.id}/link`)
  expect(response.status).toBe(200)
  return handedLinkSchema
    .parse(await response.json())
    .path.split('/')
    .at(-1)!
}
const enter = async (token: string, chosen = password): Promise<{ person: Person; status: number }> => {
  const person = new Person()
  return { person, status: (await person.json('POST', `/links/${token}/enter`, { password: chosen })).status }
}
const inside = async (who: Person): Promise<boolean> => (await who.fetch('/account/sessions')).status === 200
const signInStatus = async (login: string, with_ = password): Promise<number> =>
  (await new Person().json('POST', '/session', { login, password: with_ })).status

it('three hundred rows, twelve kinds of mistakes: what is right is taken, nothing half, nothing twice', async () => {
  const { text, mistakes } = spoiltList(`${mark}`)
  const lists = await newClass(connection, 'A school’s list', instructorId)
  const preview = async () =>
    rosterPreviewSchema.parse(
      await (await instructor.json('POST', `/classes/${lists}/people/preview`, { text, role: 'learner' })).json()
    )
  const first = await preview()
  expect(first.rows.filter(r => r.outcome === 'wrong').map(r => r.row)).toEqual(mistakes.map(m => m.row))
  const count = async (): Promise<number> =>
    ((await (await instructor.fetch(`/classes/${lists}/people`)).json()) as unknown[]).length
  expect(await count()).toBe(1)
  const bringAll = () => instructor.json('POST', `/classes/${lists}/people`, { text, role: 'learner' })
  expect(await (await bringAll()).json()).toEqual({ added: 288, mailed: 286 })
  expect(await count()).toBe(289)
  expect(new Set((await preview()).rows.map(r => r.outcome))).toEqual(new Set(['there', 'wrong']))
  expect(await (await bringAll()).json()).toEqual({ added: 0, mailed: 0 })
  expect(await count()).toBe(289)
  // What was brought in goes out again, and is understood where it comes back.
  const table = await (await instructor.fetch(`/classes/${lists}/people/table`)).text()
  const again = rosterPreviewSchema.parse(
    await (await instructor.json('POST', `/classes/${lists}/people/preview`, { text: table, role: 'learner' })).json()
  )
  expect(again.rows.filter(r => r.outcome === 'there')).toHaveLength(288)
})

it('a learner without an address comes in by a slip: a link that opens once, and a name to sign in by', async () => {
  await bring('Wren Hale')
  const { account, handed } = await member('Wren Hale')
  expect([account.email, handed]).toEqual([null, true])
  const slips = await instructor.json('POST', `/classes/${classId}/people/slips`),
    bytes = new Uint8Array(await slips.arrayBuffer())
  expect(await pdfText(bytes)).toContain(`sign in as ${account.signInName}`)
  const token = await linkFor('Wren Hale')
  expect(await (await new Person().fetch(`/links/${token}`)).json()).toMatchObject({
    kind: 'invitation',
    name: 'Wren Hale',
    classes: ['Saturday painters']
  })
  expect((await enter(token, 'short')).status).toBe(422)
  const two = await Promise.all([enter(token), enter(token)])
  expect(two.map(t => t.status).sort()).toEqual([200, 404])
  expect(await signInStatus(account.signInName!)).toBe(200)
  // A second link, for a child who forgot: everywhere else they are out.
  const before = two.find(t => t.status === 200)!.person
  expect((await enter(await linkFor('Wren Hale'), 'another heron stands')).status).toBe(200)
  expect(await inside(before)).toBe(false)
})

it('a link is made of its row and the house’s secret: changed, run out, or another’s, it opens nothing', async () => {
  await bring(`Ines Marlow <${at('ines')}>`)
  const token = await linkFor('Ines Marlow')
  const [id] = token.split('-')
  for (const other of [`${token.slice(0, -2)}xx`, `${Number(id) + 1}-${token.split('-')[1]}`, id!, 'nonsense', '1-'])
    expect((await new Person().fetch(`/links/${other}`)).status).toBe(404)
  const [rows] = await connection.query(`SELECT HEX(nonce) AS n FROM links WHERE id = ${id}`)
  expect(token.toUpperCase()).not.toContain((rows as { n: string }[])[0]!.n)
  await connection.query(`UPDATE links SET expires_at = UTC_TIMESTAMP(3) - INTERVAL 1 SECOND WHERE id = ${id}`)
  expect((await enter(token)).status).toBe(404)
})

it('nobody hands on a link to more than a learner of theirs, or to one who came in and is mailed', async () => {
  await bring(`Otto Reed <${at('otto')}>`, 'assistant')
  const { account } = await member('Otto Reed')
  expect((await instructor.json('POST', `/classes/${classId}/people/${account.id}/link`)).status).toBe(403)
  await bring(`Joss Pender <${at('joss')}>`)
  expect((await enter(await linkFor('Joss Pender'))).status).toBe(200)
  const joss = await member('Joss Pender')
  expect((await instructor.json('POST', `/classes/${classId}/people/${joss.account.id}/link`)).status).toBe(403)
  expect(
    (await instructor.json('PUT', `/classes/${classId}/people/${joss.account.id}/name`, { name: 'X' })).status
  ).toBe(403)
})

it('whoever has a code joins, until it is turned off; one who is in already joins with what they have', async () => {
  const code = ((await (await instructor.json('POST', `/classes/${classId}/code`)).json()) as { joinCode: string })
    .joinCode
  const spaced = encodeURIComponent(`${code.slice(0, 4)} ${code.slice(4).toLowerCase()}`)
  expect(await (await new Person().fetch(`/join/${spaced}`)).json()).toEqual({
    className: 'Saturday painters',
    instructors: 'Perrin Dale'
  })
  const child = new Person(),
    joined = await child.json('POST', `/join/${code}`, { name: 'Mika Thorn', email: '', password })
  expect(await joined.json()).toMatchObject({ email: null, signInName: expect.stringMatching(/^mika\.thorn\d*$/) })
  expect((await child.fetch('/submissions')).status).toBe(200)
  const old = await newAccount(connection, { email: at('old'), name: 'Old Hand', password })
  const known = await Person.signedIn(at('old'), { password })
  expect((await known.json('POST', `/join/${code}/too`)).status).toBe(200)
  expect((await people()).some(p => p.account.id === old)).toBe(true)
  await instructor.json('DELETE', `/classes/${classId}/code`)
  expect((await new Person().fetch(`/join/${code}`)).status).toBe(404)
})

it('a change of rights gives every session of theirs another token, and what was under way still answers', async () => {
  const id = await newAccount(connection, { email: at('rights'), name: 'Some Rights', password })
  await enrol(connection, { classId, accountId: id })
  const person = await Person.signedIn(at('rights'), { password }),
    before = person.cookie
  await person.fetch('/account/sessions')
  expect(person.cookie).toBe(before)
  await instructor.json('PUT', `/classes/${classId}/people/${id}/role`, { role: 'assistant' })
  const [one, two] = await Promise.all([person.fetch('/shelves'), person.fetch('/shelves')])
  expect([one.status, two.status]).toEqual([200, 200])
  expect(person.cookie).not.toBe(before)
  expect(await inside(person)).toBe(true)
  await connection.query(`UPDATE sessions SET rotated_at = rotated_at - INTERVAL 1 MINUTE WHERE account_id = ${id}`)
  const kept = new Person()
  kept.cookie = before
  expect(await inside(kept)).toBe(false)
})

it('a class keeps somebody who teaches it; whoever is taken out sees nothing more of it', async () => {
  expect(
    (await instructor.json('PUT', `/classes/${classId}/people/${instructorId}/role`, { role: 'learner' })).status
  ).toBe(422)
  expect((await instructor.json('DELETE', `/classes/${classId}/people/${instructorId}`)).status).toBe(422)
  const id = await newAccount(connection, { email: at('co'), name: 'Co Teacher', password })
  expect(await (await bring(`Co Teacher, ${at('co')}`, 'instructor')).json()).toEqual({ added: 1, mailed: 1 })
  const co = await Person.signedIn(at('co'), { password })
  expect((await co.fetch(`/classes/${classId}/people`)).status).toBe(200)
  expect((await instructor.json('DELETE', `/classes/${classId}/people/${id}`)).status).toBe(200)
  expect((await co.fetch(`/classes/${classId}/people`)).status).toBe(404)
})

it('a forgotten password is mailed a link, once; an instructor’s outbox shows no link of somebody else', async () => {
  const accountId = await newAccount(connection, { email: at('forgets'), name: 'Who Forgets', password })
  await enrol(connection, { classId, accountId })
  const ask = (login: string): Promise<Response> => new Person().json('POST', '/forgotten', { login })
  const [known, unknown] = await Promise.all([ask(at('forgets')), ask(at('nobody'))])
  expect([known.status, await known.json()]).toEqual([unknown.status, await unknown.json()])
  const own = await Person.signedIn(at('forgets'), { password })
  const mailOf = async (who: Person) => mailListSchema.parse(await (await who.fetch('/outbox')).json())
  await expect.poll(async () => (await mailOf(own)).filter(m => m.link).length).toBe(1)
  const seen = await mailOf(instructor)
  expect(seen.some(m => m.subject.startsWith('You are in') && m.to.name === 'Who Forgets')).toBe(false)
  expect(seen.some(m => m.subject.includes('password'))).toBe(false)
  expect(seen.filter(m => m.to.name !== 'Perrin Dale' && m.link)).toEqual([])
  expect(seen.some(m => m.subject.startsWith('You are invited'))).toBe(true)
  const token = (await mailOf(own))[0]!.link!.split('/').at(-1)!
  expect((await enter(token, 'a fresh westerly wind')).status).toBe(200)
  expect([await signInStatus(at('forgets')), await signInStatus(at('forgets'), 'a fresh westerly wind')]).toEqual([
    401, 200
  ])
  const statuses = []
  for (let n = 0; n < 6; n++) statuses.push((await ask(at('forgets'))).status)
  expect(statuses.at(-1)).toBe(429)
})

it('an address is another once the mail that went there is opened, and the one before is told', async () => {
  const id = await newAccount(connection, { email: at('moves'), name: 'Who Moves', password })
  const own = await Person.signedIn(at('moves'), { password })
  const change = (email: string, word = password) => own.json('PUT', '/account/address', { email, password: word })
  expect((await change(at('moved'), 'wrong')).status).toBe(422)
  // Whether an address is taken is told to nobody.
  expect((await change(at('perrin'))).status).toBe(200)
  expect((await change(at('moved'))).status).toBe(200)
  const [mail] = mailListSchema.parse(await (await own.fetch('/outbox')).json())
  expect(mail!.to.email).toBe(at('moved'))
  expect(await signInStatus(at('moved'))).toBe(401)
  expect((await new Person().json('POST', `/links/${mail!.link!.split('/').at(-1)}/address`)).status).toBe(200)
  expect([await signInStatus(at('moves')), await signInStatus(at('moved'))]).toEqual([401, 200])
  const [rows] = await connection.query(`SELECT email FROM outbox WHERE account_id = ${id} ORDER BY id DESC LIMIT 1`)
  expect((rows as { email: string }[])[0]!.email).toBe(at('moves'))
})
