/**
 * A small work that a guest's browser does before it sends, so that a program that sends thousands is slow at it. It
 * needs no service from outside and asks nothing of a person.
 */
import { createHash } from 'node:crypto'
import { createChallenge, verifySolution, type Challenge } from 'altcha-lib'
import { deriveKey } from 'altcha-lib/algorithms/pbkdf2'
import { z } from 'zod'
import { AppError } from '../../../shared/errors'
import { secret } from '../entering/secrets'

/** A try takes about a millisecond, and one of 256 is the right one: a third of a second or so. */
const COST = 2000
/** A form is written for so long at most: milliseconds. */
const GOOD_MS = 6 * 3_600_000

const proofSecret = (): string => createHash('sha256').update(`proof ${secret()}`).digest('hex')

/** @param callId that it is good for. */
export const newChallenge = (callId: number): Promise<Challenge> =>
  createChallenge({
    algorithm: 'PBKDF2/SHA-256',
    cost: COST,
    deriveKey,
    data: { call: callId },
    expiresAt: new Date(Date.now() + GOOD_MS),
    hmacSignatureSecret: proofSecret()
  })

const proofSchema = z.object({
  challenge: z.object({
    parameters: z.looseObject({ nonce: z.string(), data: z.object({ call: z.int() }) }),
    signature: z.string()
  }),
  solution: z.looseObject({ counter: z.int(), derivedKey: z.string() })
})

const REFUSED = 'Your browser did not finish a small task that keeps robots out. Send it again.'

/** @returns what it is known by: the same proof is taken once. @throws AppError invalid. */
export async function checkProof(text: string, callId: number): Promise<Buffer> {
  let proof: z.infer<typeof proofSchema>
  try {
    proof = proofSchema.parse(JSON.parse(text))
  } catch {
    throw new AppError('invalid', REFUSED)
  }
  const { challenge, solution } = proof,
    { verified } = await verifySolution({
      challenge: challenge as unknown as Challenge,
      solution: solution as never,
      deriveKey,
      hmacSignatureSecret: proofSecret()
    })
  if (!verified || challenge.parameters.data.call !== callId) throw new AppError('invalid', REFUSED)
  return createHash('sha256').update(challenge.parameters.nonce).digest()
}
