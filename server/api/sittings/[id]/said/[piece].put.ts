import { saidSchema } from '../../../../../shared/sitting'
import { body } from '../../../../http/body'
import { idParam, route } from '../../../../http/route'
import { writeSaid } from '../../../../services/calls/sittings'

export default route('instructor', async ({ event, account }) => {
  const { said } = await body(event, saidSchema)
  await writeSaid(account, idParam(event), { pieceId: idParam(event, 'piece'), said })
  return {}
})
