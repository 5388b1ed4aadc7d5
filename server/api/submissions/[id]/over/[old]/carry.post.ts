import { carryInputSchema } from '../../../../../../shared/pieces/versions'
import { body } from '../../../../../http/body'
import { idParam, route } from '../../../../../http/route'
import { carryOver } from '../../../../../services/versions/landing'

export default route('staff', async ({ event, account }) => {
  const { corrections } = await body(event, carryInputSchema)
  return { carried: await carryOver(account, { newId: idParam(event), oldId: idParam(event, 'old') }, corrections) }
})
