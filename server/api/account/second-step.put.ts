import { stepCodeSchema } from '../../../shared/account'
import { body } from '../../http/body'
import { route } from '../../http/route'
import { confirmStep } from '../../services/entering/second-step'

/** Turns it on. @returns codes for the day the device is lost, told once. */
export default route('instructor', async ({ event, account }) =>
  confirmStep(account, (await body(event, stepCodeSchema)).code)
)
