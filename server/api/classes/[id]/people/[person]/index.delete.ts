import { idParam, route } from '../../../../../http/route'
import { takeOut } from '../../../../../services/roster/people'

export default route('account', async ({ event, account }) => {
  await takeOut(account, { classId: idParam(event), accountId: idParam(event, 'person') })
  return {}
})
