/**
 * Password hashes in PHC form: argon2id at the cost that OWASP recommends (Password Storage Cheat Sheet: 19 MiB, two
 * rounds, one lane). Those from before are scrypt's; they still open, and are renewed when they do.
 */
import { randomBytes } from 'node:crypto'
import { Scrypt } from '@adonisjs/hash/drivers/scrypt'
import { argon2id, argon2Verify } from 'hash-wasm'

const COST = { memorySize: 19_456, iterations: 2, parallelism: 1 } as const
const PREFIX = `$argon2id$v=19$m=${COST.memorySize},t=${COST.iterations},p=${COST.parallelism}$`

export const hashPassword = (password: string): Promise<string> =>
  argon2id({ ...COST, password, salt: randomBytes(16), hashLength: 32, outputType: 'encoded' })

/** @property renewed the same password hashed at today's cost, where the stored hash is not. */
export interface Verified {
  readonly right: boolean
  readonly renewed: string | null
}

export async function verifyPassword(hash: string, password: string): Promise<Verified> {
  const right = await (hash.startsWith('$argon2')
    ? argon2Verify({ password, hash })
    : new Scrypt({}).verify(hash, password))
  return { right, renewed: right && !hash.startsWith(PREFIX) ? await hashPassword(password) : null }
}
