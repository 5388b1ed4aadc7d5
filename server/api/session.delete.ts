import { route } from '../http/route'
import { sealedSession } from '../http/session'
import { signOut } from '../services/accounts'

export default route('account', async ({ event }) => {
  const session = await sealedSession(event)
  if (session.data.token) await signOut(session.data.token)
  await session.clear()
  return {}
})
