import { idParam, route } from '../../../../http/route'
import { removeEntry } from '../../../../services/calls/calls'

/** The instructor takes a guest's piece off the call. */
export default route('instructor', async ({ event, account }) => {
  await removeEntry(account, idParam(event), idParam(event, 'entry'))
  return {}
})
