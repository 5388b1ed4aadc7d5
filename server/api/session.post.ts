import { getRequestIP } from 'h3'
import { signInSchema, type Account } from '../../shared/account'
import { body, route } from '../http/route'
import { sealedSession } from '../http/session'
import { signIn } from '../services/accounts'

export default route('anybody', async ({ event }): Promise<Account> => {
  const { email, password } = await body(event, signInSchema)
  const { token, account } = await signIn(email, password, getRequestIP(event) ?? 'unknown', new Date())
  const session = await sealedSession(event)
  await session.clear() // a new sign-in never continues an old session
  await session.update({ token })
  return account
})
