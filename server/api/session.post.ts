import { signInSchema, type Account } from '../../shared/account'
import { body } from '../http/body'
import { route } from '../http/route'
import { browserOf, clientAddress } from '../http/sender'
import { beginSession, tokenOf } from '../http/session'
import { signIn } from '../services/entering/accounts'

/** Guesses wait for their turn, so a sign-in may take longer than other requests. */
export default route(
  'anybody',
  async ({ event }): Promise<Account> => {
    const { login, password, code } = await body(event, signInSchema)
    const before = await tokenOf(event)
    const { token, account } = await signIn({
      login,
      password,
      code,
      address: clientAddress(event),
      before,
      browser: browserOf(event)
    })
    await beginSession(event, token)
    return account
  },
  { limitMs: 30_000 }
)
