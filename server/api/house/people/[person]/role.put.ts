import { houseRoleChangeSchema } from '../../../../../shared/roster'
import { body } from '../../../../http/body'
import { idParam, route } from '../../../../http/route'
import { changeHouseRole } from '../../../../services/house/house'

export default route('owner', async ({ event, account }) => {
  await changeHouseRole(account, idParam(event, 'person'), (await body(event, houseRoleChangeSchema)).house)
  return {}
})
