import { idParam, route } from '../../../http/route'
import { dropOwn } from '../../../services/exercises/own'

export default route('instructor', async ({ event, account }) => {
  await dropOwn(account, idParam(event))
  return {}
})
