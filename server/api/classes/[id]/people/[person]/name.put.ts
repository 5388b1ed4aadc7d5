import { renameSchema } from '../../../../../../shared/roster'
import { body } from '../../../../../http/body'
import { idParam, route } from '../../../../../http/route'
import { renameMember } from '../../../../../services/roster/people'

export default route('account', async ({ event, account }) => {
  await renameMember(
    account,
    { classId: idParam(event), accountId: idParam(event, 'person') },
    (await body(event, renameSchema)).name
  )
  return {}
})
