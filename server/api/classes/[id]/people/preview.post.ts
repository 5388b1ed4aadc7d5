import { rosterTextSchema } from '../../../../../shared/roster'
import { body } from '../../../../http/body'
import { idParam, route } from '../../../../http/route'
import { previewRoster } from '../../../../services/roster/bringing'

/** What bringing in a list would do. Nothing is done. */
export default route(
  'account',
  async ({ event, account }) => previewRoster(account, idParam(event), await body(event, rosterTextSchema)),
  { limitMs: 30_000 }
)
