import { idParam, route } from '../../../http/route'
import { dropPaint } from '../../../services/workshop/paints'

export default route('account', async ({ event, account }) => {
  await dropPaint(account, idParam(event))
  return {}
})
