import { idParam, route } from '../../../../http/route'
import { endSessionsOf } from '../../../../services/house/house'

/** Signed out everywhere. */
export default route('owner', async ({ event, account }) => {
  await endSessionsOf(account, idParam(event, 'person'))
  return {}
})
