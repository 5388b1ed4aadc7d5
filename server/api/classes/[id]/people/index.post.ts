import { rosterTextSchema } from '../../../../../shared/roster'
import { body } from '../../../../http/body'
import { idParam, route } from '../../../../http/route'
import { bringRoster } from '../../../../services/roster/bringing'

/** Brings in what of a list is right. */
export default route(
  'account',
  async ({ event, account }) => bringRoster(account, idParam(event), await body(event, rosterTextSchema)),
  { limitMs: 30_000 }
)
