import { idParam, route } from '../../../http/route'
import { dropStudy } from '../../../services/pieces/studies'

export default route('learner', async ({ event, account }) => {
  await dropStudy(account, idParam(event))
  return {}
})
