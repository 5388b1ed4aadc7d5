import { swatchInputSchema } from '../../../../shared/workshop'
import { body } from '../../../http/body'
import { route } from '../../../http/route'
import { keepSwatch } from '../../../services/workshop/swatches'

export default route('account', async ({ event, account }) => ({
  id: await keepSwatch(account, await body(event, swatchInputSchema))
}))
