import { stepCodeSchema } from '../../../shared/account'
import { body } from '../../http/body'
import { route } from '../../http/route'
import { endStep } from '../../services/entering/second-step'

export default route('account', async ({ event, account }) => {
  await endStep(account, (await body(event, stepCodeSchema)).code)
  return {}
})
