import { getRouterParam } from 'h3'
import { idParam, route } from '../../../../../http/route'
import { endExport } from '../../../../../services/exports/export-jobs'

/** Called off while it is made, thrown away afterwards. */
export default route('account', async ({ event, account }) => {
  await endExport(account, idParam(event), getRouterParam(event, 'job')!)
  return {}
})
