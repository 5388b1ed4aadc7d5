import { idParam, route } from '../../../http/route'
import { withdrawCritique } from '../../../services/critique/after-release'

export default route('instructor', async ({ event, account }) => {
  await withdrawCritique(account, idParam(event))
  return {}
})
