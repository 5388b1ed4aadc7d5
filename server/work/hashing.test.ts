import { Scrypt } from '@adonisjs/hash/drivers/scrypt'
import { expect, it } from 'vitest'
import { hashPassword, verifyPassword } from './hashing'

it('opens by the same password and no other, at the cost that is recommended today', async () => {
  const hash = await hashPassword('salt on the slipway')
  // OWASP Password Storage Cheat Sheet: argon2id with 19 MiB of memory, two iterations, one degree of parallelism.
  expect(hash).toMatch(/^\$argon2id\$v=19\$m=19456,t=2,p=1\$/)
  expect(hash).not.toBe(await hashPassword('salt on the slipway'))
  expect(await verifyPassword(hash, 'salt on the slipway')).toEqual({ right: true, renewed: null })
  expect(await verifyPassword(hash, 'salt on the slipwaY')).toEqual({ right: false, renewed: null })
})

it('is what the reference implementation makes', async () => {
  // phc-winner-argon2, src/test.c: “password”, “somesalt”, t = 2, m = 2^16, p = 1; from memory.
  const theirs = '$argon2id$v=19$m=65536,t=2,p=1$c29tZXNhbHQ$CTFhFdXPJO1aFaMaO6Mm5c8y7cJHAph8ArZWb2GRPPc'
  expect((await verifyPassword(theirs, 'password')).right).toBe(true)
})

it('of before is renewed when it opens, and only then', async () => {
  const old = await new Scrypt({}).make('salt on the slipway')
  const { right, renewed } = await verifyPassword(old, 'salt on the slipway')
  expect(right).toBe(true)
  expect((await verifyPassword(renewed!, 'salt on the slipway')).right).toBe(true)
  expect(await verifyPassword(old, 'another')).toEqual({ right: false, renewed: null })
})
