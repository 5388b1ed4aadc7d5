import { idParam, route } from '../../../http/route'
import { sendWorksheet, WORKSHEET_MS, worksheetAsked } from '../../../http/worksheet'
import { planPage } from '../../../services/exercises/worksheets'

/** The plan as a page to print. */
export default route(
  'account',
  async ({ event, account }) =>
    sendWorksheet(event, await planPage(account, idParam(event), worksheetAsked(event).paper)),
  { limitMs: WORKSHEET_MS }
)
