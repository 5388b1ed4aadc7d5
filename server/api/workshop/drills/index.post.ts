import { drillRunInputSchema } from '../../../../shared/workshop'
import { body } from '../../../http/body'
import { route } from '../../../http/route'
import { keepRun } from '../../../services/workshop/drills'

export default route('account', async ({ event, account }) => keepRun(account, await body(event, drillRunInputSchema)))
