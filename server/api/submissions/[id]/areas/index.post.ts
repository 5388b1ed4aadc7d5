import { areaInputSchema } from '../../../../../shared/critique'
import { body, idParam, route } from '../../../../http/route'
import { addArea } from '../../../../services/critiques'

export default route('instructor', async ({ event, account }) => {
  const { name, area } = await body(event, areaInputSchema)
  return { id: await addArea(account, idParam(event), name, area) }
})
