import { sittingStepSchema } from '../../../../shared/sitting'
import { body } from '../../../http/body'
import { idParam, route } from '../../../http/route'
import { stepSitting } from '../../../services/calls/sittings'

export default route('instructor', async ({ event, account }) =>
  stepSitting(account, idParam(event), await body(event, sittingStepSchema))
)
