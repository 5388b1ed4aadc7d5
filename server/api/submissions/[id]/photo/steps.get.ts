import { idParam, route } from '../../../../http/route'
import { stepsOf } from '../../../../services/pieces/photographed'

export default route('staff', async ({ event, account }) => ({ steps: await stepsOf(account, idParam(event)) }))
