import { correctionChangeSchema } from '../../../../../shared/critique'
import { body } from '../../../../http/body'
import { idParam, route } from '../../../../http/route'
import { changeCorrection } from '../../../../services/critique/corrections'

export default route('staff', async ({ event, account }) => {
  const { over, ...input } = await body(event, correctionChangeSchema)
  await changeCorrection(account, idParam(event), { id: idParam(event, 'correction'), input, over })
  return {}
})
