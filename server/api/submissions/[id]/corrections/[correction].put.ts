import { correctionInputSchema } from '../../../../../shared/critique'
import { body, idParam, route } from '../../../../http/route'
import { changeCorrection } from '../../../../services/critiques'

export default route('instructor', async ({ event, account }) => {
  await changeCorrection(account, idParam(event), idParam(event, 'correction'), await body(event, correctionInputSchema))
  return {}
})
