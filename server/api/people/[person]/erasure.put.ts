import { erasureAskedSchema } from '../../../../shared/person'
import { body } from '../../../http/body'
import { idParam, route } from '../../../http/route'
import { askErasure } from '../../../services/house/erasing'

export default route('account', async ({ event, account }) => {
  await askErasure(account, idParam(event, 'person'), await body(event, erasureAskedSchema))
  return {}
})
