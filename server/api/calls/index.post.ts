import { callWrittenSchema } from '../../../shared/call'
import { body } from '../../http/body'
import { route } from '../../http/route'
import { openCall } from '../../services/calls/calls'

export default route('instructor', async ({ event, account }) => ({
  id: await openCall(account, await body(event, callWrittenSchema))
}))
