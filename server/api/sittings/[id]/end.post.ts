import { idParam, route } from '../../../http/route'
import { closeSitting } from '../../../services/calls/sittings'

export default route('instructor', async ({ event, account }) => {
  await closeSitting(account, idParam(event))
  return {}
})
