import { orderInputSchema } from '../../../../../shared/critique'
import { body } from '../../../../http/body'
import { idParam, route } from '../../../../http/route'
import { orderCorrections } from '../../../../services/critique/corrections'

export default route('staff', async ({ event, account }) => {
  await orderCorrections(account, idParam(event), (await body(event, orderInputSchema)).order)
  return {}
})
