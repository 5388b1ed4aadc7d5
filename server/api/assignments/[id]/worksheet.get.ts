import { idParam, route } from '../../../http/route'
import { sendWorksheet, WORKSHEET_MS, worksheetAsked } from '../../../http/worksheet'
import { worksheetFor } from '../../../services/exercises/worksheets'

export default route(
  'account',
  async ({ event, account }) =>
    sendWorksheet(event, await worksheetFor(account, idParam(event), worksheetAsked(event))),
  { limitMs: WORKSHEET_MS }
)
