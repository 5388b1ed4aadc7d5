/**
 * What a password may be (NIST SP 800-63B-4, 3.1.1.2): eight to 128 of any characters, and none that is guessed first:
 * not one of the common ones, not what the account or the product is called. Nothing about which characters, and never
 * changed by the calendar.
 */
import { dictionary } from '@zxcvbn-ts/language-common'
import { AppError } from '../../../shared/errors'

/** Leaked passwords by how often they were met, of the package's list. */
let common: ReadonlySet<string> | null = null
const isCommon = (password: string): boolean =>
  (common ??= new Set(dictionary['passwords-common'].map(p => String(p).toLowerCase()))).has(password.toLowerCase())

/** @throws AppError invalid, with the reason. */
export function refuseGuessable(
  password: string,
  { name, login }: { readonly name: string; readonly login: string }
): void {
  const plain = password.toLowerCase()
  if (isCommon(password))
    throw new AppError('invalid', 'This password is one of those tried first by everybody who guesses. Choose another.')
  if (
    [name, login, login.split('@')[0]!, 'critica'].some(
      word => plain.replace(/\s+/g, '') === word.toLowerCase().replace(/\s+/g, '')
    )
  )
    throw new AppError(
      'invalid',
      'Your name, your address and the name of this place are guessed first. Choose another.'
    )
}
