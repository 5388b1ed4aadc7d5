import { idParam, route } from '../../../../../http/route'
import { mailAgain } from '../../../../../services/roster/people'

export default route('account', async ({ event, account }) => {
  await mailAgain(account, { classId: idParam(event), accountId: idParam(event, 'person') })
  return {}
})
