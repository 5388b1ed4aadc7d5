/**
 * Passwords are hashed in a process of their own: each keeps a core busy for a moment, and nobody else's answer waits
 * for it.
 */
import { serve } from './child'
import { hashPassword, verifyPassword } from './hashing'

if (process.send) {
  serve({
    hash: ({ password }: { readonly password: string }) => hashPassword(password),
    verify: ({ hash, password }: { readonly hash: string; readonly password: string }) => verifyPassword(hash, password)
  })
}
