import { swatchChangeSchema } from '../../../../shared/workshop'
import { body } from '../../../http/body'
import { idParam, route } from '../../../http/route'
import { changeSwatch } from '../../../services/workshop/swatches'

export default route('account', async ({ event, account }) => {
  await changeSwatch(account, idParam(event), await body(event, swatchChangeSchema))
  return {}
})
