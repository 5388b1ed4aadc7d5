import { idParam, route } from '../../../http/route'
import { sendWorksheet, WORKSHEET_MS, worksheetAsked } from '../../../http/worksheet'
import { worksheetsForSet } from '../../../services/exercises/worksheets'

/** A page for each, in one document. */
export default route(
  'staff',
  async ({ event, account }) =>
    sendWorksheet(event, await worksheetsForSet(account, idParam(event), { ...worksheetAsked(event), as: 'pdf' })),
  { limitMs: WORKSHEET_MS }
)
