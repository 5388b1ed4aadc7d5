import { idParam, route } from '../../http/route'
import { removePhrase } from '../../services/critique/phrases'

export default route('staff', async ({ event, account }) => {
  await removePhrase(account, idParam(event))
  return {}
})
