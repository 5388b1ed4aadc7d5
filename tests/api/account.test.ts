/** One's own account: the password changed by its rules, sessions seen and ended. */
import { randomUUID } from 'node:crypto'
import { Scrypt } from '@adonisjs/hash/drivers/scrypt'
import type { Connection, RowDataPacket } from 'mysql2/promise'
import { Secret, TOTP } from 'otpauth'
import { afterAll, beforeAll, beforeEach, expect, it } from 'vitest'
import { endChild } from '../../bin/lib/processes'
import { newAccount } from '../people'
import { openSessionListSchema, type OpenSession } from '../../shared/account'
import { anotherServer, database, Person } from './client'

const FIRST = 'salt on the slipway'
let connection: Connection, email: string, person: Person
beforeAll(async () => {
  connection = await database()
})
afterAll(() => connection.end())
beforeEach(async () => {
  email = `wren-${randomUUID()}@harbour.example`
  await newAccount(connection, { email, name: 'Wren Hale', password: FIRST })
  person = await Person.signedIn(email, { password: FIRST })
})
const again = (password = FIRST): Promise<Person> => Person.signedIn(email, { password })
const open = async (who: Person): Promise<OpenSession[]> =>
  openSessionListSchema.parse(await (await who.fetch('/account/sessions')).json())
const change = async (next: string, current = FIRST): Promise<[number, string]> => {
  const response = await person.json('PUT', '/account/password', { current, next })
  return [response.status, ((await response.json()) as { error?: { message: string } }).error?.message ?? '']
}
const inside = async (who: Person): Promise<boolean> => (await who.fetch('/account/sessions')).status === 200

it('is entered by a new password from then on, and every other session is over', async () => {
  const other = await again()
  expect(await change('three grey gulls asleep')).toEqual([200, ''])
  expect(await inside(person)).toBe(true)
  expect(await inside(other)).toBe(false)
  expect((await new Person().json('POST', '/session', { login: email, password: FIRST })).status).toBe(401)
  expect(await inside(await again('three grey gulls asleep'))).toBe(true)
})

// NIST SP 800-63B-4, 3.1.1.2: at least eight, at least 64 taken, any character, a blocklist, no rules of composition.
it.each([
  ['shore', 422, 'At least 8 characters'],
  ['x'.repeat(129), 422, 'At most 128'],
  ['Password123', 422, 'tried first'],
  ['iloveyou', 422, 'tried first'],
  ['Wren Hale', 422, 'guessed first'],
  ['aaaabbbbcccc but longer', 200, ''],
  ['лодка у моста', 200, ''],
  ['x y'.repeat(42), 200, '']
])('of a password %s it says %d', async (next, status, words) => {
  const [got, message] = await change(next)
  expect(got).toBe(status)
  expect(message).toContain(words)
})

it('is not changed on a wrong word, and guessing at it is as slow as at the door', async () => {
  for (let n = 0; n < 8; n++) expect((await change('three grey gulls asleep', `wrong ${n}`))[0]).toBe(422)
  expect((await change('three grey gulls asleep'))[0]).toBe(429)
  await connection.query('DELETE FROM sign_in_tries')
  expect(await inside(await again())).toBe(true)
})

it("shows where one is signed in, and ends one, or all others; another person's never", async () => {
  const second = await again(),
    third = await again()
  const list = await open(person)
  expect(list.map(s => s.here)).toEqual([true, false, false])
  const [here] = await open(second)
  const stranger = await Person.signedIn('rosa')
  expect((await stranger.json('DELETE', `/account/sessions/${here!.id}`)).status).toBe(404)
  expect((await person.json('DELETE', `/account/sessions/${here!.id}`)).status).toBe(200)
  expect([await inside(second), await inside(third)]).toEqual([false, true])
  expect((await person.json('DELETE', '/account/sessions')).status).toBe(200)
  expect([await inside(person), await inside(third), await inside(stranger)]).toEqual([true, false, true])
})

it('behind HTTPS is named by a cookie that no other host, path or plain connection can set', async () => {
  process.env.CRITICA_SECURE_COOKIE = '1'
  const { server, origin } = await anotherServer()
  delete process.env.CRITICA_SECURE_COOKIE
  try {
    const response = await fetch(`${origin}/api/session`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ login: email, password: FIRST })
    })
    const [cookie] = response.headers.getSetCookie()
    expect(cookie).toMatch(/^__Host-critica=/)
    expect(cookie!.split('; ').slice(1)).toEqual(
      expect.arrayContaining(['Path=/', 'HttpOnly', 'Secure', 'SameSite=Lax'])
    )
    expect(cookie).not.toMatch(/Domain=/i)
    const [named] = cookie!.split(';')
    const asked = async (sent: string): Promise<number> =>
      (await fetch(`${origin}/api/account/sessions`, { headers: { cookie: sent } })).status
    expect([await asked(named!), await asked(named!.replace('__Host-', ''))]).toEqual([200, 401])
  } finally {
    await endChild(server)
  }
})

it('is left after two weeks unused, and after thirty days however much it is used', async () => {
  const aged = async (column: string, days: number): Promise<boolean> => {
    const other = await again()
    await connection.query(
      `UPDATE sessions SET ${column} = ${column} - INTERVAL ${days} DAY WHERE id = ${(await open(other))[0]!.id}`
    )
    return inside(other)
  }
  expect(
    await Promise.all([aged('seen_at', 13), aged('seen_at', 15), aged('expires_at', 29), aged('expires_at', 31)])
  ).toEqual([true, false, true, false])
})

it('is hashed as today’s advice has it from the next sign-in on', async () => {
  const old = await new Scrypt({}).make(FIRST)
  await connection.execute('UPDATE accounts SET password_hash = ? WHERE email = ?', [old, email])
  await again()
  const [[row]] = await connection.query<RowDataPacket[]>(`SELECT password_hash FROM accounts WHERE email = '${email}'`)
  expect(row!.password_hash).toMatch(/^\$argon2id/)
  expect(await inside(await again())).toBe(true)
})

it('with a second step opens by a code of the device too, each once, or by one kept for when it is lost', async () => {
  await connection.query(`UPDATE accounts SET house = 'instructor' WHERE email = '${email}'`)
  const device = (secret: string, at = Date.now()): string =>
    // RFC 6238, by the library's other end; its Appendix B, SHA-1, at 59 s, to six digits.
    new TOTP({ secret: Secret.fromBase32(secret) }).generate({ timestamp: at })
  expect(device(Secret.fromLatin1('12345678901234567890').base32, 59_000)).toBe('287082')
  const step = (method: string, code = '') =>
    person.json(method, '/account/second-step', { code, password: code || FIRST })
  expect((await step('POST', 'another word')).status).toBe(422)
  const { secret, picture } = (await (await step('POST')).json()) as { secret: string; picture: string }
  expect(picture).toMatch(/^data:image\/svg\+xml;base64,/)
  const enter = async (code: string): Promise<[number, string]> => {
    const response = await new Person().json('POST', '/session', { login: email, password: FIRST, code })
    return [response.status, ((await response.json()) as { error?: { code: string } }).error?.code ?? '']
  }
  // Nothing is asked for until a code has shown that the device has it.
  expect((await step('PUT', '000000')).status).toBe(422)
  expect(await enter('')).toEqual([200, ''])
  const first = device(secret),
    codes = (await (await step('PUT', first)).json()) as string[]
  expect(new Set(codes).size).toBe(10)
  expect(await enter('')).toEqual([401, 'code-wanted'])
  expect(await enter(first)).toEqual([401, 'wrong-sign-in'])
  expect(await enter(device(secret, Date.now() + 30_000))).toEqual([200, ''])
  expect(await enter(codes[0]!.toUpperCase())).toEqual([200, ''])
  expect(await enter(codes[0]!)).toEqual([401, 'wrong-sign-in'])
  const [[row]] = await connection.query<RowDataPacket[]>(`SELECT step_secret FROM accounts WHERE email = '${email}'`)
  expect((row!.step_secret as Buffer).includes(Buffer.from(secret))).toBe(false)
  expect((await step('DELETE', 'nonsense')).status).toBe(422)
  expect((await step('DELETE', codes[1])).status).toBe(200)
  expect(await enter('')).toEqual([200, ''])
})
