import { getRouterParam } from 'h3'
import { idParam, route } from '../../../../../http/route'
import { exportState } from '../../../../../services/exports/export-jobs'

export default route('account', async ({ event, account }) =>
  exportState(account, idParam(event), getRouterParam(event, 'job')!)
)
