/** Guessing at passwords: counted before it is looked at, for the account, for the address, and in parallel. */
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest'
import type { Connection, RowDataPacket } from 'mysql2/promise'
import { longestWait } from '../probe'
import { database, ORIGIN, Person } from './client'

let connection: Connection
beforeAll(async () => {
  connection = await database()
})
const forget = async (): Promise<void> => {
  await connection.query('DELETE FROM sign_in_tries')
}
beforeEach(forget)
afterAll(async () => {
  await forget()
  await connection.end()
})

const guess = (email: string, password = 'wrong'): Promise<number> =>
  new Person().json('POST', '/session', { login: email, password }).then(r => r.status)
const tally = (statuses: number[]): Record<number, number> =>
  Object.fromEntries([...new Set(statuses)].map(status => [status, statuses.filter(s => s === status).length]))
const sessions = async (): Promise<number> =>
  Number((await connection.query<RowDataPacket[]>('SELECT COUNT(*) n FROM sessions'))[0][0]!.n)

describe('guessing', () => {
  it('at one account fifty times at once gets eight looked at', async () => {
    const email = `one-${Date.now()}@harbour.example`
    expect(tally(await Promise.all(Array.from({ length: 50 }, () => guess(email))))).toEqual({ 401: 8, 429: 42 })
  })

  it('at two hundred accounts three times each meets the limit of its address', async () => {
    const asked = Array.from({ length: 200 }, (_, i) => guess(`many-${Date.now()}-${i % 67}@harbour.example`))
    const found = tally(await Promise.all(asked))
    expect(found[401]).toBe(60)
    expect(found[429]).toBe(140)
  })

  it('is still known after a restart: counted in the database, under names that tell nobody who tried', async () => {
    await guess('rosa@harbour.example')
    const [rows] = await connection.query<RowDataPacket[]>('SELECT `key`, points FROM sign_in_tries')
    expect(rows).toHaveLength(3)
    expect(rows.map(r => r.points)).toEqual([1, 1, 1])
    expect(JSON.stringify(rows)).not.toMatch(/rosa|harbour|127\.0/)
  })

  it('is not what a class does that signs in all at once: everybody gets in, and nobody else waits long', async () => {
    const people = ['ada', 'bram', 'joss', 'mika', 'rosa'].map(k => `${k}@harbour.example`)
    const waited = await longestWait(ORIGIN, 500, async () => {
      const statuses = await Promise.all(Array.from({ length: 100 }, (_, i) => guess(people[i % 5]!, 'harbour-lamp')))
      expect(tally(statuses)).toEqual({ 200: 100 })
    })
    expect(waited).toBeLessThan(500)
  })
})

describe('a sign-in', () => {
  it('is a new session each time, and ends the one this browser had', async () => {
    const person = await Person.signedIn('mika'),
      first = person.cookie,
      before = await sessions()
    await person.json('POST', '/session', { login: 'mika@harbour.example', password: 'harbour-lamp' })
    expect(person.cookie).not.toBe(first)
    expect(await sessions()).toBe(before)
    const old = new Person()
    old.cookie = first
    expect((await old.fetch('/submissions')).status).toBe(401)
    expect((await person.fetch('/submissions')).status).toBe(200)
  })
})
