import { exportInputSchema } from '../../../../../shared/pieces/export'
import { body } from '../../../../http/body'
import { idParam, route } from '../../../../http/route'
import { beginExport } from '../../../../services/exports/export-jobs'

export default route('account', async ({ event, account }) =>
  beginExport(account, idParam(event), (await body(event, exportInputSchema)).name)
)
