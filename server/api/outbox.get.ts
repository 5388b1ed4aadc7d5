import { route } from '../http/route'
import { mailOf } from '../services/mail/mail'

/** What the simulated post office would have sent. */
export default route('account', ({ account }) => mailOf(account))
