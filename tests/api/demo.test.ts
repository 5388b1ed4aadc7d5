/** The demo class: loaded from the owner's page, shown at the door while it is there, and taken away whole. */
import type { RowDataPacket } from 'mysql2/promise'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { ownerLink } from '../../bin/lib/serve'
import { secretsOf } from '../../bin/lib/database'
import { DEMO_PASSWORD } from '../../demo/people'
import { sessionSchema, type Session } from '../../shared/account'
import { houseSchema, type House as Orders } from '../../shared/person'
import { House, until } from '../house'
import { Person } from './client'

let house: House
beforeAll(async () => {
  house = await House.open({ instructors: 0, learners: 0, demo: true })
})
afterAll(() => house.close())

const atTheDoor = async (): Promise<Session> =>
  sessionSchema.parse(await (await new Person(house.origin).fetch('/session')).json())
const signInStatus = async (): Promise<number> =>
  (
    await new Person(house.origin).json('POST', '/session', {
      login: 'tamsin@harbour.example',
      password: DEMO_PASSWORD
    })
  ).status
async function rowsOf(): Promise<Record<string, number>> {
  const connection = await house.connect(),
    [tables] = await connection.query<RowDataPacket[]>('SHOW TABLES')
  const counts: Record<string, number> = {}
  for (const row of tables) {
    const table = String(Object.values(row)[0]),
      [[{ n }]] = (await connection.query(`SELECT COUNT(*) AS n FROM \`${table}\``)) as unknown as [[{ n: number }]]
    counts[table] = Number(n)
  }
  await connection.end()
  return counts
}

it('comes and goes at the owner’s word, and leaves nothing but what was done', async () => {
  const token = (await ownerLink(house.database.url, secretsOf(house.folder).session)).split('/').at(-1)!
  // The first to hold the link owns the house; a second at the same moment does not.
  const two = await Promise.all(
    ['one', 'two'].map(async who => {
      const person = new Person(house.origin),
        body = { name: `Number ${who}`, email: `${who}@school.example`, password: 'kelp and lantern light' }
      return { person, status: (await person.json('POST', `/links/${token}/begin`, body)).status }
    })
  )
  expect(two.map(t => t.status).sort()).toEqual([200, 404])
  const owner = two.find(t => t.status === 200)!.person
  expect(await atTheDoor()).toMatchObject({ demo: [], owned: true })
  expect(await signInStatus()).toBe(401)

  const before = await rowsOf()
  const orders = async (): Promise<Orders> => houseSchema.parse(await (await owner.fetch('/house')).json())
  expect((await orders()).demo).toBe('none')
  expect((await owner.json('POST', '/house/demo')).status).toBe(200)
  expect((await orders()).demo).toBe('loading')
  expect((await owner.json('DELETE', '/house/demo')).status).toBe(422)
  await until('the demo class is there', async () => (await orders()).demo === 'loaded', 150_000)
  expect((await atTheDoor()).demo.map(d => [d.login, d.password])).toContainEqual([
    'tamsin@harbour.example',
    DEMO_PASSWORD
  ])
  expect(await signInStatus()).toBe(200)
  expect((await rowsOf()).submissions).toBeGreaterThan(8)

  expect((await owner.json('DELETE', '/house/demo')).status).toBe(200)
  expect(await signInStatus()).toBe(401)
  expect(await atTheDoor()).toMatchObject({ demo: [] })
  const { audit, sign_in_tries: _, ...after } = await rowsOf()
  const { audit: auditBefore, sign_in_tries: __, ...rest } = before
  expect(after).toEqual(rest)
  expect(audit).toBeGreaterThan(auditBefore!)
}, 200_000)
