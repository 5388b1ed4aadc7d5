/** Small secrets at rest, sealed by the house's own: a stolen table holds none that can be used. AES-256-GCM. */
import { createCipheriv, createDecipheriv, hkdfSync, randomBytes } from 'node:crypto'
import { secret, secrets } from './secrets'

const NONCE = 12,
  TAG = 16
const keyOf = (secret: string, purpose: string): Buffer =>
  Buffer.from(hkdfSync('sha256', secret, '', `critica ${purpose}`, 32))

export function seal(text: string, purpose: string): Buffer {
  const nonce = randomBytes(NONCE),
    cipher = createCipheriv('aes-256-gcm', keyOf(secret(), purpose), nonce)
  return Buffer.concat([nonce, cipher.update(text, 'utf8'), cipher.final(), cipher.getAuthTag()])
}

/** @throws Error when it was sealed by a secret that is neither in use nor being changed, or was changed itself. */
export function unseal(sealed: Buffer, purpose: string): string {
  for (const own of secrets()) {
    const text = opened(sealed, keyOf(own, purpose))
    if (text !== null) return text
  }
  throw new Error(`what was sealed for the ${purpose} is not of this secret`)
}

/** The same sealed by the secret in use; null where it is already, or where nothing opens it. */
export function resealed(sealed: Buffer, purpose: string): Buffer | null {
  const [, ...older] = secrets()
  for (const own of older) {
    const text = opened(sealed, keyOf(own, purpose))
    if (text !== null) return seal(text, purpose)
  }
  return null
}

function opened(sealed: Buffer, key: Buffer): string | null {
  const decipher = createDecipheriv('aes-256-gcm', key, sealed.subarray(0, NONCE))
  decipher.setAuthTag(sealed.subarray(-TAG))
  try {
    return Buffer.concat([decipher.update(sealed.subarray(NONCE, -TAG)), decipher.final()]).toString('utf8')
  } catch {
    return null
  }
}
