import { idParam, route } from '../../../http/route'
import { closeCall } from '../../../services/calls/calls'

export default route('instructor', async ({ event, account }) => {
  await closeCall(account, idParam(event))
  return {}
})
