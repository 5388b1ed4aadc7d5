import { classRoleChangeSchema } from '../../../../../../shared/roster'
import { body } from '../../../../../http/body'
import { idParam, route } from '../../../../../http/route'
import { changeRole } from '../../../../../services/roster/people'

export default route('account', async ({ event, account }) => {
  await changeRole(
    account,
    { classId: idParam(event), accountId: idParam(event, 'person') },
    (await body(event, classRoleChangeSchema)).role
  )
  return {}
})
