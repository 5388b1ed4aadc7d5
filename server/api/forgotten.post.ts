import { forgottenSchema } from '../../shared/link'
import { body } from '../http/body'
import { route } from '../http/route'
import { forgotten } from '../services/entering/entering'

export default route('anybody', async ({ event }) => {
  await forgotten((await body(event, forgottenSchema)).login)
  return {}
})
