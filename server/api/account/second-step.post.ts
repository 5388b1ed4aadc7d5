import { passwordAgainSchema } from '../../../shared/account'
import { body } from '../../http/body'
import { route } from '../../http/route'
import { clientAddress } from '../../http/sender'
import { refuseWrongPassword } from '../../services/entering/accounts'
import { beginStep } from '../../services/entering/second-step'

/** A secret to be read into a device, on the word of the password. Nothing changes until its code is given. */
export default route(
  'instructor',
  async ({ event, account }) => {
    const { password } = await body(event, passwordAgainSchema)
    await refuseWrongPassword(account, password, clientAddress(event))
    return beginStep(account)
  },
  { limitMs: 30_000 }
)
