/**
 * A second step at the sign-in: codes of the hour from a device of one's own (RFC 6238), and a few for the day it is
 * lost.
 */
import { createHash, randomBytes } from 'node:crypto'
import { Secret, TOTP } from 'otpauth'
import encodeQR from 'qr'
import { loginOf, type Account, type StepBegun } from '../../../shared/account'
import { AppError } from '../../../shared/errors'
import { findStep, turnOff, turnOn, updatePending, useRecoveryCode, useStep } from '../../db/people/second-step'
import { db, transaction } from '../../db/pool'
import { markForRotation } from '../../db/people/sessions'
import { audit } from '../house/audit'
import { tellSecurity } from '../mail/mail'
import { seal, unseal } from './sealing'

export const STEP_PURPOSE = 'second step'
const PERIOD_S = 30,
  /** A device's clock may be so many periods off. */
  WINDOW = 1,
  CODES = 10
const totpOf = (secret: string, label: string): TOTP =>
  new TOTP({ issuer: 'Critica', label, secret: Secret.fromBase32(secret), period: PERIOD_S })

/** @returns the time-step whose code it is, or null. */
function stepOf(secret: string, code: string): number | null {
  const delta = totpOf(secret, '').validate({ token: code, window: WINDOW })
  return delta === null ? null : Math.floor(Date.now() / 1000 / PERIOD_S) + delta
}

/** A new secret, to be read into a device; nothing changes until a code of it is given. */
export async function beginStep(account: Account): Promise<StepBegun> {
  const secret = new Secret({ size: 20 }).base32
  await updatePending(db(), account.id, seal(secret, STEP_PURPOSE))
  const picture = encodeQR(totpOf(secret, loginOf(account)).toString(), 'svg', { border: 1 })
  return { secret, picture: `data:image/svg+xml;base64,${Buffer.from(picture).toString('base64')}` }
}

const plain = (code: string): string => code.toLowerCase().replace(/[^a-z0-9]/g, '')
const hashOf = (code: string): Buffer => createHash('sha256').update(plain(code)).digest()

/** @returns the recovery codes, shown once. @throws AppError invalid. */
export async function confirmStep(account: Account, code: string): Promise<string[]> {
  const { pending } = await findStep(db(), account.id)
  const step = pending && stepOf(unseal(pending, STEP_PURPOSE), plain(code))
  if (step === null)
    throw new AppError('invalid', 'This is not the code that your device shows now. Wait for the next one.')
  const codes = Array.from({ length: CODES }, () =>
    randomBytes(5)
      .toString('hex')
      .replace(/(.{5})/, '$1-')
  )
  await transaction(async connection => {
    await turnOn(connection, account.id, codes.map(hashOf))
    await useStep(connection, account.id, step)
    await markForRotation(connection, account.id)
    await audit(connection, { action: 'second-factor-on', actorId: account.id })
    await tellSecurity(connection, account.id, 'The second step was turned on')
  })
  return codes
}

/** @param code of the device, or a recovery code. @throws AppError invalid. */
export async function endStep(account: Account, code: string): Promise<void> {
  if (!(await stepTaken(account.id, code))) throw new AppError('invalid', 'This code does not open it.')
  await transaction(async connection => {
    await turnOff(connection, account.id)
    await markForRotation(connection, account.id)
    await audit(connection, { action: 'second-factor-off', actorId: account.id })
    await tellSecurity(connection, account.id, 'The second step was turned off')
  })
}

/** Whether a code opens the second step of an account; each opens it once. True for an account that has none. */
export async function stepTaken(accountId: number, code: string): Promise<boolean> {
  const { secret } = await findStep(db(), accountId)
  if (secret === null) return true
  const step = stepOf(unseal(secret, STEP_PURPOSE), plain(code))
  return step === null ? useRecoveryCode(db(), accountId, hashOf(code)) : useStep(db(), accountId, step)
}

export const hasStep = async (accountId: number): Promise<boolean> => (await findStep(db(), accountId)).secret !== null
