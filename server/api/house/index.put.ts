import { houseOrdersSchema } from '../../../shared/person'
import { body } from '../../http/body'
import { route } from '../../http/route'
import { orderHouse } from '../../services/house/house'

/** The standing orders. */
export default route('owner', async ({ event, account }) => {
  await orderHouse(account, (await body(event, houseOrdersSchema)).retentionMonths)
  return {}
})
