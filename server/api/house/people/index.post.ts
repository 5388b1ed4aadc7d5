import { housePersonWrittenSchema } from '../../../../shared/person'
import { body } from '../../../http/body'
import { route } from '../../../http/route'
import { inviteToHouse } from '../../../services/house/house'

export default route('owner', async ({ event, account }) => ({
  id: await inviteToHouse(account, await body(event, housePersonWrittenSchema))
}))
