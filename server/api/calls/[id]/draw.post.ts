import { idParam, route } from '../../../http/route'
import { drawCall } from '../../../services/calls/calls'

export default route('instructor', async ({ event, account }) => {
  await drawCall(account, idParam(event))
  return {}
})
