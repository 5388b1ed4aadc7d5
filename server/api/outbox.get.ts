import { listMail } from '../db/outbox'
import { db } from '../db/pool'
import { route } from '../http/route'

/** What the simulated post office would have sent. */
export default route('account', ({ account }) => listMail(db(), account.id))
