import { areaInputSchema } from '../../../../../shared/critique'
import { body, idParam, route } from '../../../../http/route'
import { changeArea } from '../../../../services/critiques'

export default route('instructor', async ({ event, account }) => {
  const { name, area } = await body(event, areaInputSchema)
  await changeArea(account, idParam(event), idParam(event, 'area'), name, area)
  return {}
})
