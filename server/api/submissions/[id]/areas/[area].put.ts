import { areaChangeSchema } from '../../../../../shared/critique'
import { body } from '../../../../http/body'
import { idParam, route } from '../../../../http/route'
import { changeArea } from '../../../../services/critique/corrections'

export default route('staff', async ({ event, account }) => {
  const { over, ...input } = await body(event, areaChangeSchema)
  await changeArea(account, idParam(event), { id: idParam(event, 'area'), next: input, over })
  return {}
})
