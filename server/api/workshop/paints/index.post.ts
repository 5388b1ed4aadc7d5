import { paintsInputSchema } from '../../../../shared/workshop'
import { body } from '../../../http/body'
import { route } from '../../../http/route'
import { addPaints } from '../../../services/workshop/paints'

export default route('account', async ({ event, account }) => {
  await addPaints(account, (await body(event, paintsInputSchema)).paints)
  return {}
})
