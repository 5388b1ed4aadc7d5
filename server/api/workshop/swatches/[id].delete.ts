import { idParam, route } from '../../../http/route'
import { dropSwatch } from '../../../services/workshop/swatches'

export default route('account', async ({ event, account }) => {
  await dropSwatch(account, idParam(event))
  return {}
})
