import { areaInputSchema } from '../../../../../shared/critique'
import { body } from '../../../../http/body'
import { idParam, route } from '../../../../http/route'
import { addArea } from '../../../../services/critique/corrections'

export default route('staff', async ({ event, account }) => {
  return { id: await addArea(account, idParam(event), await body(event, areaInputSchema)) }
})
