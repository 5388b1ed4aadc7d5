import { classFieldsSchema } from '../../../shared/class'
import { body } from '../../http/body'
import { route } from '../../http/route'
import { makeClass } from '../../services/house/classes'

export default route('instructor', async ({ event, account }) => ({
  id: await makeClass(account, await body(event, classFieldsSchema))
}))
