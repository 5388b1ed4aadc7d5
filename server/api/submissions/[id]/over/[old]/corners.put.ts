import { cornersInputSchema } from '../../../../../../shared/pieces/versions'
import { body } from '../../../../../http/body'
import { idParam, route } from '../../../../../http/route'
import { setCorners } from '../../../../../services/versions/comparing'

export default route('account', async ({ event, account }) => {
  const { corners } = await body(event, cornersInputSchema)
  await setCorners(account, { newId: idParam(event), oldId: idParam(event, 'old') }, corners)
  return {}
})
