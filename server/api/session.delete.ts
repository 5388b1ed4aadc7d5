import { setResponseHeader } from 'h3'
import { route } from '../http/route'
import { endSession, tokenOf } from '../http/session'
import { signOut } from '../services/entering/accounts'

export default route('account', async ({ event }) => {
  const token = await tokenOf(event)
  if (token) await signOut(token)
  await endSession(event)
  // The next person at this browser is shown nothing that the last one looked at.
  setResponseHeader(event, 'clear-site-data', '"cache"')
  return {}
})
