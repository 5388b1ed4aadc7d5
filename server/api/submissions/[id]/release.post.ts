import { idParam, route } from '../../../http/route'
import { releaseCritique } from '../../../services/critiques'

export default route('instructor', async ({ event, account }) => {
  await releaseCritique(account, idParam(event), new Date())
  return {}
})
