import { classFieldsSchema } from '../../../../shared/class'
import { body } from '../../../http/body'
import { idParam, route } from '../../../http/route'
import { changeClass } from '../../../services/house/classes'

export default route('account', async ({ event, account }) => {
  await changeClass(account, idParam(event), await body(event, classFieldsSchema))
  return {}
})
