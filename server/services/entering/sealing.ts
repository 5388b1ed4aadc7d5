/** Small secrets at rest, sealed by the house's own: a stolen table holds none that can be used. AES-256-GCM. */
import { createCipheriv, createDecipheriv, hkdfSync, randomBytes } from 'node:crypto'
import { settings } from '../../settings'

const NONCE = 12,
  TAG = 16
const keyFor = (purpose: string): Buffer =>
  Buffer.from(hkdfSync('sha256', settings().CRITICA_SECRET, '', `critica ${purpose}`, 32))

export function seal(text: string, purpose: string): Buffer {
  const nonce = randomBytes(NONCE),
    cipher = createCipheriv('aes-256-gcm', keyFor(purpose), nonce)
  return Buffer.concat([nonce, cipher.update(text, 'utf8'), cipher.final(), cipher.getAuthTag()])
}

/** @throws Error when it was sealed by another secret, or changed. */
export function unseal(sealed: Buffer, purpose: string): string {
  const decipher = createDecipheriv('aes-256-gcm', keyFor(purpose), sealed.subarray(0, NONCE))
  decipher.setAuthTag(sealed.subarray(-TAG))
  return Buffer.concat([decipher.update(sealed.subarray(NONCE, -TAG)), decipher.final()]).toString('utf8')
}
