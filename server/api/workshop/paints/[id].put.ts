import { paintInputSchema } from '../../../../shared/workshop'
import { body } from '../../../http/body'
import { idParam, route } from '../../../http/route'
import { changePaint } from '../../../services/workshop/paints'

export default route('account', async ({ event, account }) => {
  await changePaint(account, idParam(event), await body(event, paintInputSchema))
  return {}
})
