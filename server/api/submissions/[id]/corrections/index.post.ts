import { correctionInputSchema } from '../../../../../shared/critique'
import { body } from '../../../../http/body'
import { idParam, route } from '../../../../http/route'
import { addCorrection } from '../../../../services/critique/corrections'

export default route('staff', async ({ event, account }) => ({
  id: await addCorrection(account, idParam(event), await body(event, correctionInputSchema))
}))
